import { asName } from '../../parts/names.js';
import type { Mixable } from '#core/material';
import { Box, Flex } from '@chakra-ui/react';
import { useMemo, useState, type ReactElement } from 'react';
import type { Flat } from '#core/mix';
import { Fraction, showNumber } from '#core/units';
import type { ShelfAnswer } from '#contract';
import { Choice } from '../../parts/Choice.js';
import { MaterialPicker, type Picked } from '../../parts/MaterialPicker.js';
import { Value } from '../../parts/Value.js';
import { Warning } from '../../parts/Warning.js';
import { Second, Word } from '../../theme/pieces.js';
import { usePigments } from '../../wire/pigments.js';
import { recipesOf } from '../../wire/revisions.js';
import { LadderSteps } from './LadderSteps.js';
import {
  alone,
  discWords,
  inWords,
  lightest,
  missedWords,
  mixesOn,
  punchedFor,
  readCount,
  readDiscs,
  workOut,
  type LadderKind,
  type OnRung,
  type Other,
  type Punched,
} from './rungs.js';
import { useMakeMix } from './useMakeMix.js';

const KINDS = [
  { value: 'usual', text: 'usual parts' },
  { value: 'equal', text: 'equal steps' },
] as const;

interface LadderProps {
  readonly name: string;
  readonly revisionId: string;
  readonly flat: Flat;
  readonly shelf: ShelfAnswer;
}

/** Where a ladder leads, and in which steps. */
function useLadder({ name, revisionId, flat, shelf }: LadderProps) {
  const [chosen, setChosen] = useState<Other | null>(null);
  const [third, setThird] = useState<Other | null>(null);
  const [picking, setPicking] = useState<'second' | 'third' | null>(null);
  const [kind, setKind] = useState<LadderKind>('usual');
  const [count, setCount] = useState(7);
  const pigments = usePigments();
  const other = useMemo(() => chosen ?? lightest(shelf, pigments), [chosen, shelf, pigments]);
  const others = useMemo(() => [other, third].filter((o) => o !== null), [other, third]);
  const worked = useMemo(
    () => (other ? workOut([flat, ...others.map((o) => o.flat)], kind, count, pigments) : null),
    [flat, other, others, kind, count, pigments],
  );
  const pick = async ({ of, name: called }: Picked<Mixable>): Promise<void> => {
    const set = picking === 'third' ? setThird : setChosen;
    setPicking(null);
    set({ of, name: called, flat: alone(shelf, await recipesOf(of), of) });
  };
  const mixes = mixesOn(revisionId, name, others);
  return { other, third, setThird, picking, setPicking, kind, setKind, count, setCount, worked, pick, mixes };
}

type Ladders = ReturnType<typeof useLadder>;

/** Where it leads on to, after the second mix. */
function Third({ third, setThird, setPicking }: Ladders): ReactElement {
  const pick = (): void => {
    setPicking('third');
  };
  if (!third) return <Word onClick={pick}>and on to a third</Word>;
  return (
    <>
      and on to <Word onClick={pick}>{third.name}</Word>{' '}
      <Word
        aria-label={`Leave ${third.name} out`}
        onClick={() => {
          setThird(null);
        }}
      >
        leave it out
      </Word>
    </>
  );
}

/** Where the ladder leads, and in which steps, in one line. */
function LadderWords({ ladder }: { readonly ladder: Ladders }): ReactElement {
  const { other, setPicking, kind, setKind, count, setCount } = ladder;
  return (
    <Flex alignItems="baseline" gap={3} wrap="wrap" marginBottom={2}>
      <h2>Ladder</h2>
      <Second>
        to{' '}
        <Word
          onClick={() => {
            setPicking('second');
          }}
        >
          {other?.name}
        </Word>{' '}
        <Third {...ladder} />
        {' · '}
        <Choice label="Steps of the ladder" value={kind} options={KINDS} onChange={setKind} />
        {kind === 'equal' && (
          <>
            {' '}
            · <Value label="Number of steps" text={String(count)} read={readCount} onChange={setCount} /> of them
          </>
        )}
      </Second>
    </Flex>
  );
}

interface PunchProps {
  readonly punched: Punched;
  readonly names: readonly string[];
  readonly discs: number;
  readonly onDiscs: (discs: number) => void;
}

/** What is punched for all steps together, and which of them discs miss. */
function Punch({ punched, names, discs, onDiscs }: PunchProps): ReactElement {
  const { sheet, missed } = punched;
  const text = showNumber(new Fraction(discs));
  const list = inWords(names.map((name, i) => discWords(sheet.total[i] ?? new Fraction(0), name)));
  return (
    <>
      <Box fontSize="small" marginTop={1}>
        With <Value label="Discs in each step" text={text} read={readDiscs} onChange={onDiscs} /> discs in each step,
        all punched with one cutter out of sheets of one setting: {list}.
      </Box>
      {missed.length > 0 && <Warning>{missedWords(punched)}</Warning>}
    </>
  );
}

/**
 * The way from this mix to another one, or on to a third, in usual parts or in steps that look equal, and what to
 * punch for it.
 */
export function Ladder(props: LadderProps): ReactElement | null {
  const [discs, setDiscs] = useState(4);
  const { make, wrong } = useMakeMix();
  const ladder = useLadder(props);
  const { worked, picking, setPicking, pick, mixes } = ladder;
  if (!worked) return null;
  const put = ([one, two]: readonly OnRung[]): void => {
    if (!one || !two) return;
    const name = asName(`${one.name} ${one.n} to ${two.n} ${two.name}`);
    void make(
      name,
      [one, two].map(({ n, of }) => ({ parts: String(n), of })),
    );
  };
  const punched = punchedFor(worked, discs);
  return (
    <Box as="section" aria-label="Ladder">
      <LadderWords ladder={ladder} />
      {picking !== null && (
        <MaterialPicker
          place="chosen"
          label={picking === 'third' ? 'Where the ladder leads on to' : 'Where the ladder leads'}
          onPick={(p) => {
            void pick(p);
          }}
          onCancel={() => {
            setPicking(null);
          }}
        />
      )}
      {'wrong' in worked ? (
        <Warning>{worked.wrong}</Warning>
      ) : (
        <LadderSteps rungs={worked.rungs} mixes={mixes} discs={punched?.sheet.rungs ?? []} onMake={put} />
      )}
      {punched && <Punch punched={punched} names={mixes.map((m) => m.name)} discs={discs} onDiscs={setDiscs} />}
      {wrong !== null && <Warning>{wrong}</Warning>}
    </Box>
  );
}
