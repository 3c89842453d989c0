import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { READING_WAYS, SIGMA_OF_WAY, contradictionSentence, contradictions, thicknesses, type Knowledge, type ReadingWay, type SettingThickness } from '#core/sheet';
import { Complaint, readLength, showLength } from '#core/units';
import type { BenchSetupDto, MachineDto, ReadingDto } from '#contract';
import { Choice } from '../../parts/Choice.js';
import { LengthValue, TextValue } from '../../parts/Value.js';
import { Warning } from '../../parts/Warning.js';
import { useUnits } from '../../state/view.js';
import { Action, Caption, Field, Second, Word } from '../../theme/pieces.js';
import { change, put, useRefusal } from '../../wire/save.js';

const WAYS: Readonly<Record<ReadingWay, string>> = { calipers: 'by calipers', cards: 'against cards', stack: 'as a stack of layers', weighed: 'by weighing a disc' };
const WAY_OPTIONS = READING_WAYS.map((value) => ({ value, text: WAYS[value] }));
const KNOWN: Readonly<Record<Knowledge, string>> = { measured: 'measured', interpolated: 'worked out between', assumed: 'assumed' };

interface MachineWordsProps {
  readonly machine: MachineDto;
  readonly mine: boolean;
  readonly setup: BenchSetupDto;
  readonly settingId: string | null;
  readonly onSetting: (id: string) => void;
  readonly onGone: () => void;
}

/** One machine: its dial and its readings. */
export function MachineWords({ machine, mine, setup, settingId, onSetting, onGone }: MachineWordsProps): ReactElement {
  const units = useUnits();
  const path = `/api/machines/${machine.id}`;
  const refusal = useRefusal(path);
  const all = thicknesses(machine);
  const wrong = contradictions(machine);
  const setting = all.find((s) => s.id === settingId) ?? all[0];
  const save = (part: Partial<MachineDto>): void => { void put(path, { ...machine, ...part }); };
  return (
    <Flex direction="column" gap={3}>
      <div>
        <h2><TextValue label="Name of the machine" value={machine.name} refusal={refusal?.sentenceFor('name')} onChange={(name) => { save({ name }); }} /></h2>
        <Second>rollers <LengthValue label="Roller width" value={machine.rollerWidthMm} refusal={refusal?.sentenceFor('rollerWidthMm')} onChange={(rollerWidthMm) => { save({ rollerWidthMm }); }} /> wide · {machine.settings[0]?.label} widest, {machine.settings.at(-1)?.label} thinnest
          {mine ? ' · your own' : <> · <Word onClick={() => { void change('PUT', '/api/bench', { ...setup, machineId: machine.id, discSettingId: null }); }}>this is my own</Word></>}</Second>
      </div>
      {wrong.map((c) => <Warning key={c.thinner.id}>{contradictionSentence(c, units)}</Warning>)}
      {setting && <OneSetting key={setting.id} machine={machine} setting={setting} all={all} onSetting={onSetting} onReadings={(readings) => { save({ readings }); }} refusal={refusal && !refusal.sentenceFor('name') ? refusal.message : undefined} />}
      <Word alignSelf="flex-start" fontSize="small" onClick={() => { void change('DELETE', `${path}?version=${machine.version}`).then((gone) => { if (gone !== null) onGone(); }); }}>Take this machine away</Word>
    </Flex>
  );
}

interface OneSettingProps {
  readonly machine: MachineDto;
  readonly setting: SettingThickness;
  readonly all: readonly SettingThickness[];
  readonly onSetting: (id: string) => void;
  readonly onReadings: (readings: ReadingDto[]) => void;
  readonly refusal: string | undefined;
}

function OneSetting({ machine, setting, all, onSetting, onReadings, refusal }: OneSettingProps): ReactElement {
  const units = useUnits();
  const [text, setText] = useState('');
  const [way, setWay] = useState<ReadingWay>('calipers');
  const [wrong, setWrong] = useState<string | null>(null);
  const own = machine.readings.filter((r) => r.settingId === setting.id);
  const add = (): void => {
    try {
      const mm = readLength(text, units);
      onReadings([...machine.readings, { id: crypto.randomUUID(), settingId: setting.id, mm, sigmaMm: SIGMA_OF_WAY[way], way }]);
      setText('');
      setWrong(null);
    } catch (error) {
      if (!(error instanceof Complaint)) throw error;
      setWrong(error.message);
    }
  };
  return (
    <Box as="form" onSubmit={(e) => { e.preventDefault(); add(); }}>
      <Box marginBottom={2}>Setting <Choice label="Setting to measure" value={setting.id} options={all.map((s) => ({ value: s.id, text: s.label }))} onChange={onSetting} />: <b>{setting.knowledge === 'assumed' ? '~' : ''}{showLength(setting.mm, units, true)}</b>, {KNOWN[setting.knowledge]}, ± {showLength(2 * setting.sigmaMm, units, true)}</Box>
      {own.map((r) => (
        <Box key={r.id} fontSize="small"><LengthValue label="Reading" fine value={r.mm} onChange={(mm) => { onReadings(machine.readings.map((x) => (x.id === r.id ? { ...x, mm } : x))); }} /> {WAYS[r.way]} · <Word onClick={() => { onReadings(machine.readings.filter((x) => x.id !== r.id)); }} type="button">strike out</Word></Box>
      ))}
      <Flex gap={2} marginTop={2} alignItems="center">
        <Field width="112px" aria-label={`Reading of setting ${setting.label}`} placeholder={showLength(setting.mm, units, true)} value={text} onChange={(e) => { setText(e.currentTarget.value); setWrong(null); }} />
        <Box flex={1} fontSize="small"><Choice label="Measured how" value={way} options={WAY_OPTIONS} onChange={setWay} /></Box>
        <Action type="submit">Note</Action>
      </Flex>
      {wrong ?? refusal ? <Warning>{wrong ?? refusal}</Warning> : <Caption>taken as sure to ± {showLength(2 * SIGMA_OF_WAY[way], units, true)}</Caption>}
    </Box>
  );
}
