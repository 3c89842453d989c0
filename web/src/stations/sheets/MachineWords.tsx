import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import {
  contradictionSentence,
  contradictions,
  thicknesses,
  wearOf,
  type Knowledge,
  type SettingThickness,
  type Wear,
} from '#core/sheet';
import { showLength } from '#core/units';
import type { BenchSetupDto, MachineDto, ReadingDto } from '#contract';
import { Choice } from '../../parts/Choice.js';
import { LengthValue, TextValue } from '../../parts/Value.js';
import { Warning } from '../../parts/Warning.js';
import { showDate } from '../../state/today.js';
import { useUnits } from '../../state/view.js';
import { Caption, Second, Word } from '../../theme/pieces.js';
import { change, useRefusal } from '../../wire/save.js';
import { ReadingForm } from './ReadingForm.js';
import { WAYS } from './readingWays.js';
import { Refused } from '../../wire/ask.js';

const KNOWN: Readonly<Record<Knowledge, string>> = {
  measured: 'measured',
  interpolated: 'worked out between',
  assumed: 'assumed',
};

interface MachineWordsProps {
  readonly machine: MachineDto;
  readonly mine: boolean;
  readonly setup: BenchSetupDto;
  readonly settingId: string | null;
  readonly onSetting: (id: string) => void;
  readonly onGone: () => void;
}

interface HeadProps extends Pick<MachineWordsProps, 'machine' | 'mine' | 'setup'> {
  readonly refusal: Refused | undefined;
  readonly save: (part: Partial<MachineDto>) => void;
}

/** Its name, its rollers, and whose it is. */
function Head({ machine, mine, setup, refusal, save }: HeadProps): ReactElement {
  return (
    <div>
      <h2>
        <TextValue
          label="Name of the machine"
          value={machine.name}
          refusal={refusal?.sentenceFor('name')}
          onChange={(name) => {
            save({ name });
          }}
        />
      </h2>
      <Second>
        rollers{' '}
        <LengthValue
          label="Roller width"
          value={machine.rollerWidthMm}
          refusal={refusal?.sentenceFor('rollerWidthMm')}
          onChange={(rollerWidthMm) => {
            save({ rollerWidthMm });
          }}
        />{' '}
        wide · {machine.settings[0]?.label} widest, {machine.settings.at(-1)?.label} thinnest
        {mine ? (
          ' · your own'
        ) : (
          <>
            {' '}
            ·{' '}
            <Word
              onClick={() => {
                void change('PUT', '/api/bench', { ...setup, machineId: machine.id, discSettingId: null });
              }}
            >
              this is my own
            </Word>
          </>
        )}
      </Second>
    </div>
  );
}

/** One machine: its dial and its readings. */
export function MachineWords({ machine, mine, setup, settingId, onSetting, onGone }: MachineWordsProps): ReactElement {
  const units = useUnits();
  const path = `/api/machines/${machine.id}`;
  const refusal = useRefusal(path);
  const all = thicknesses(machine);
  const wear = wearOf(machine);
  const setting = all.find((s) => s.id === settingId) ?? all[0];
  const save = (part: Partial<MachineDto>): void => {
    void change('PUT', path, { ...machine, ...part });
  };
  const general = refusal && refusal.sentenceFor('name') === undefined ? refusal.message : undefined;
  return (
    <Flex direction="column" gap={3}>
      <Head machine={machine} mine={mine} setup={setup} refusal={refusal} save={save} />
      {contradictions(machine).map((c) => (
        <Warning key={c.thinner.id}>{contradictionSentence(c, units)}</Warning>
      ))}
      {wear && (
        <Box>
          <Caption>{wearWords(wear)}</Caption>
        </Box>
      )}
      {general !== undefined && !setting && <Warning>{general}</Warning>}
      {setting && (
        <OneSetting
          key={setting.id}
          machine={machine}
          setting={setting}
          all={all}
          setup={setup}
          onSetting={onSetting}
          onReadings={(readings) => {
            save({ readings });
          }}
          onCalled={(called) => {
            save({ settings: machine.settings.map((s) => (s.id === setting.id ? { ...s, called } : s)) });
          }}
          refusal={general}
        />
      )}
      <Word
        alignSelf="flex-start"
        fontSize="small"
        onClick={() => {
          void change('DELETE', `${path}?version=${machine.version}`).then((gone) => {
            if (gone !== null) onGone();
          });
        }}
      >
        Take this machine away
      </Word>
    </Flex>
  );
}

/** How the gaps have changed between readings. */
function wearWords({ perYear, sigma, from, to, sure }: Wear): string {
  const percent = (x: number): string => `${(100 * Math.abs(x)).toFixed(1)} %`;
  const [least, most] = [Math.max(0, Math.abs(perYear) - 2 * sigma), Math.abs(perYear) + 2 * sigma];
  const between = `between ${showDate(from)} and ${showDate(to)}`;
  if (!sure)
    return (
      `No wear to be seen ${between}: ${percent(perYear)} a year, which is within what readings differ by ` +
      `(± ${percent(2 * sigma)}).`
    );
  return (
    `Its gaps grow ${perYear > 0 ? 'wider' : 'narrower'} by about ${percent(perYear)} a year (surely ` +
    `between ${(100 * least).toFixed(1)} and ${percent(most)}), from readings ${between}. Older readings ` +
    'are carried along.'
  );
}

interface OneSettingProps {
  readonly machine: MachineDto;
  readonly setting: SettingThickness;
  readonly all: readonly SettingThickness[];
  readonly setup: BenchSetupDto;
  readonly onSetting: (id: string) => void;
  readonly onReadings: (readings: ReadingDto[]) => void;
  readonly onCalled: (called: string) => void;
  readonly refusal: string | undefined;
}

function OneSetting(props: OneSettingProps): ReactElement {
  const { machine, setting, all, setup, onSetting, onReadings, onCalled, refusal } = props;
  const units = useUnits();
  const own = machine.readings.filter((r) => r.settingId === setting.id);
  return (
    <Box>
      <Box marginBottom={2}>
        Setting{' '}
        <Choice
          label="Setting to measure"
          value={setting.id}
          options={all.map((s) => ({ value: s.id, text: s.label }))}
          onChange={onSetting}
        />
        :{' '}
        <b>
          {setting.knowledge === 'assumed' ? '~' : ''}
          {showLength(setting.mm, units, true)}
        </b>
        , {KNOWN[setting.knowledge]}, ± {showLength(2 * setting.sigmaMm, units, true)}, called{' '}
        <TextValue
          label="What you call this setting"
          placeholder="nothing of your own"
          value={machine.settings.find((s) => s.id === setting.id)?.called ?? ''}
          onChange={onCalled}
        />
      </Box>
      {own.map((r) => (
        <Box key={r.id} fontSize="small">
          <LengthValue
            label="Reading"
            fine
            value={r.mm}
            onChange={(mm) => {
              onReadings(machine.readings.map((x) => (x.id === r.id ? { ...x, mm } : x)));
            }}
          />{' '}
          {WAYS[r.way]}
          {r.takenOn ? `, ${showDate(r.takenOn)}` : ''} ·{' '}
          <Word
            onClick={() => {
              onReadings(machine.readings.filter((x) => x.id !== r.id));
            }}
            type="button"
          >
            strike out
          </Word>
        </Box>
      ))}
      <ReadingForm
        setting={setting}
        setup={setup}
        onNote={(reading) => {
          onReadings([...machine.readings, { id: crypto.randomUUID(), settingId: setting.id, ...reading }]);
        }}
      />
      {refusal && <Warning>{refusal}</Warning>}
    </Box>
  );
}
