import { Box } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { SCHOOLS_OF_CONDITIONING } from '#core/conditioning';
import { thicknesses } from '#core/sheet';
import type { BenchSetupDto, ShelfAnswer } from '#contract';
import { Choice } from '../../parts/Choice.js';
import { MassValue, TemperatureValue, Value } from '../../parts/Value.js';
import { change } from '../../wire/save.js';
import { conditionable, readPasses, usualAmount } from './conditioning.js';
import { SCHOOL_WORDS, stateWords } from './conditionWords.js';
import type { Conditioning } from './useConditioning.js';

interface ClayWordsProps {
  readonly shelf: ShelfAnswer;
  readonly conditioning: Conditioning;
}

/** How much of which clay. */
function ClayWords({ shelf, conditioning }: ClayWordsProps): ReactElement {
  const { asked, weigh, instead } = conditioning;
  const lineName = (id: string | null): string => shelf.lines.find((l) => l.id === id)?.name ?? '';
  return (
    <>
      <MassValue
        label="How much clay"
        value={asked.wanted}
        onChange={(g) => {
          if (g > 0) weigh(g);
        }}
      />{' '}
      of{' '}
      <Choice
        label="Clay to condition"
        value={asked.one.clay.id}
        options={conditionable(shelf).map((c) => ({ value: c.id, text: `${c.name}, ${lineName(c.lineId)}` }))}
        onChange={(id) => {
          instead(usualAmount(shelf, id));
        }}
      />{' '}
      ({stateWords(asked.one)})
    </>
  );
}

const saveSetup = (setup: BenchSetupDto, part: Partial<BenchSetupDto>): void => {
  void change('PUT', '/api/bench', { ...setup, ...part });
};

/** The setting that this maker conditions at; nothing without a machine. */
function OwnSetting({ conditioning }: { readonly conditioning: Conditioning }): ReactElement | null {
  const { machine, setup } = conditioning;
  const settings = machine ? thicknesses(machine) : [];
  if (settings.length === 0) return null;
  return (
    <>
      ; your working setting is{' '}
      <Choice
        label="Your working setting"
        value={setup.conditionSettingId ?? ''}
        options={[{ value: '', text: 'the usual one' }, ...settings.map((s) => ({ value: s.id, text: s.label }))]}
        onChange={(id) => {
          saveSetup(setup, { conditionSettingId: id === '' ? null : id });
        }}
      />
    </>
  );
}

/** In which room, and how. */
function HowWords({ conditioning }: { readonly conditioning: Conditioning }): ReactElement {
  const { setup, what } = conditioning;
  return (
    <>
      , in a room of {setup.roomC == null ? '~' : ''}
      <TemperatureValue
        label="How warm the room is"
        value={what.roomC}
        onChange={(roomC) => {
          saveSetup(setup, { roomC });
        }}
      />
      ,{' '}
      <Choice
        label="How it is conditioned"
        value={what.school}
        options={SCHOOLS_OF_CONDITIONING.map((value) => ({ value, text: SCHOOL_WORDS[value] }))}
        onChange={(conditionSchool) => {
          saveSetup(setup, { conditionSchool });
        }}
      />
      <OwnSetting conditioning={conditioning} />, your number of passes{' '}
      <Value
        label="Your number of passes"
        text={setup.conditionPasses == null ? 'not said' : String(setup.conditionPasses)}
        read={readPasses}
        onChange={(conditionPasses) => {
          saveSetup(setup, { conditionPasses });
        }}
      />
    </>
  );
}

/** What is conditioned and how, in one sentence whose words can be changed. */
export function ConditionSentence({ shelf, conditioning }: ClayWordsProps): ReactElement {
  return (
    <Box fontSize="h3" lineHeight={1.7} marginBottom={4} maxWidth="860px">
      <ClayWords shelf={shelf} conditioning={conditioning} />
      <HowWords conditioning={conditioning} />
    </Box>
  );
}
