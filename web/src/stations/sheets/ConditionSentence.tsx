import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import type { Lot } from '#core/batch';
import { showAge } from '#core/clay';
import { SCHOOLS_OF_CONDITIONING, thicknesses } from '#core/sheet';
import { showMass } from '#core/units';
import type { BenchSetupDto, ShelfAnswer } from '#contract';
import { Choice } from '../../parts/Choice.js';
import { MassValue, TemperatureValue, Value } from '../../parts/Value.js';
import { useUnits } from '../../state/view.js';
import { Word } from '../../theme/pieces.js';
import { change } from '../../wire/save.js';
import { conditionable, readPasses } from './conditioning.js';
import { SCHOOL_WORDS } from './conditionWords.js';
import type { Conditioning } from './useConditioning.js';

interface ClayWordsProps {
  readonly shelf: ShelfAnswer;
  readonly conditioning: Conditioning;
}

/** How much of which clay. */
function ClayWords({ shelf, conditioning }: ClayWordsProps): ReactElement {
  const { asked, set, what } = conditioning;
  const lineName = (id: string | null): string => shelf.lines.find((l) => l.id === id)?.name ?? '';
  return (
    <>
      <MassValue
        label="How much clay"
        value={asked.wanted}
        onChange={(g) => {
          if (g > 0) set('grams', String(g));
        }}
      />{' '}
      of{' '}
      <Choice
        label="Clay to condition"
        value={asked.clay.id}
        options={conditionable(shelf).map((c) => ({ value: c.id, text: `${c.name}, ${lineName(c.lineId)}` }))}
        onChange={(id) => {
          set('clay', id);
        }}
      />{' '}
      ({what.firmness}
      {what.months === null ? ', of unknown age' : `, ${showAge(what.months)} old`})
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
  const { setup, machine, asked, what, set } = conditioning;
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
        value={machine ? asked.school : 'by hand'}
        options={SCHOOLS_OF_CONDITIONING.map((value) => ({ value, text: SCHOOL_WORDS[value] }))}
        onChange={(s) => {
          set('school', s);
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

/** Which block a part of the clay comes from. */
function lotName({ months, bought }: Lot): string {
  if (bought) return 'of new clay, to be bought';
  return months === null ? 'of the block without a date' : `of the block that is ${showAge(months)} old`;
}

/** The blocks that the clay comes from, where it is more than one. */
export function Lots({ conditioning }: { readonly conditioning: Conditioning }): ReactElement | null {
  const units = useUnits();
  const { asked, set } = conditioning;
  if (asked.lots.length < 2) return null;
  return (
    <Flex gap={4} wrap="wrap" marginBottom={4} role="group" aria-label="Blocks it comes from">
      {asked.lots.map((lot, i) => (
        <Word
          key={i}
          aria-pressed={lot === asked.lot}
          fontWeight={lot === asked.lot ? 700 : undefined}
          onClick={() => {
            set('lot', String(i));
          }}
        >
          {showMass(lot.grams, units)} {lotName(lot)}
        </Word>
      ))}
    </Flex>
  );
}
