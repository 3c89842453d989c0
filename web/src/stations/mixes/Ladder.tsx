import { recipesOf } from '../../wire/revisions.js';
import { ofMix, ofClay, type Mixable } from '#core/material';
import { Box, Flex, Grid, chakra } from '@chakra-ui/react';
import { useMemo, useState, type ReactElement } from 'react';

import { hexOf, labOf, mixPigments, xyzOfLab, type Pigment, type PigmentSource } from '#core/colour';
import {
  complaint,
  cuttingSheet,
  equalLadder,
  fewestDiscs,
  pigmentOfMix,
  thinnedTwice,
  usualLadder,
  type Flat,
  type Rung,
  flatOf,
} from '#core/mix';
import { Fraction, attempt, readNumber, showNumber } from '#core/units';
import type { RevisionAnswer, ShelfAnswer } from '#contract';
import { Choice } from '../../parts/Choice.js';
import { MaterialPicker, type Picked } from '../../parts/MaterialPicker.js';
import { Value } from '../../parts/Value.js';
import { Warning } from '../../parts/Warning.js';
import { bookOf } from '../../state/book.js';
import { usePigments } from '../../wire/pigments.js';
import { Caption, Second, Word } from '../../theme/pieces.js';
import { useMakeMix } from './useMakeMix.js';

export type Other = Pick<Picked<Mixable>, 'of' | 'name'> & { readonly flat: Flat };
const KINDS = [
  { value: 'usual', text: 'usual parts' },
  { value: 'equal', text: 'equal steps' },
] as const;

/** ΔE00 from which two colours can be told apart side by side. */
const SEEN = 1.5;

const RungButton = chakra('button', {
  base: {
    height: '84px',
    width: '100%',
    display: 'block',
    border: '3px solid transparent',
    _hover: { borderColor: 'ink' },
    _disabled: { cursor: 'default', _hover: { borderColor: 'transparent' } },
  },
});

/** A clay or a mix, worked out on its own. */
export const alone = (shelf: ShelfAnswer, revisions: readonly RevisionAnswer[], of: Mixable): Flat =>
  flatOf(of, bookOf(shelf, revisions));

/** The lightest clay of the shelf: what most mixes are stretched with. */
export function lightest(shelf: ShelfAnswer, pigments: PigmentSource): Other | null {
  const all = shelf.clays
    .filter((c) => !c.retired && c.kind === 'opaque')
    .map((clay) => ({ clay, l: labOf(mixPigments([pigments(clay, 'baked')], [1])).l }));
  const best = all.sort((a, b) => b.l - a.l)[0]?.clay;
  return best ? { of: ofClay(best.id), name: best.name, flat: alone(shelf, [], ofClay(best.id)) } : null;
}

interface LadderProps {
  readonly name: string;
  readonly revisionId: string;
  readonly flat: Flat;
  readonly shelf: ShelfAnswer;
}

/**
 * The way from this mix to another one, or on to a third, in usual parts or in steps that look equal, and what to
 * punch for it.
 */
export function Ladder({ name, revisionId, flat, shelf }: LadderProps): ReactElement | null {
  const [chosen, setChosen] = useState<Other | null>(null);
  const [third, setThird] = useState<Other | null>(null);
  const [picking, setPicking] = useState<'second' | 'third' | null>(null);
  const [kind, setKind] = useState<'usual' | 'equal'>('usual');
  const [count, setCount] = useState(7);
  const [discs, setDiscs] = useState(4);
  const pigments = usePigments();
  const { make, wrong } = useMakeMix();
  const other = useMemo(() => chosen ?? lightest(shelf, pigments), [chosen, shelf, pigments]);
  const worked = useMemo((): { rungs: Rung[]; ends: readonly Pigment[] } | { wrong: string } | null => {
    if (!other) return null;
    const ends = [flat, other.flat, ...(third ? [third.flat] : [])].map((of) => pigmentOfMix(of, 'baked', pigments));
    return attempt(
      () => ({ ends, rungs: kind === 'usual' ? usualLadder(ends) : equalLadder(ends, count) }),
      (wrong) => ({ wrong: wrong.message }),
    );
  }, [flat, other, third, kind, count, pigments]);
  if (!other || !worked) return null;
  const pick = async ({ of, name: called }: Picked<Mixable>): Promise<void> => {
    const set = picking === 'third' ? setThird : setChosen;
    setPicking(null);
    set({ of, name: called, flat: alone(shelf, await recipesOf(of), of) });
  };
  const mixes = [{ of: ofMix(revisionId), name }, other, ...(third ? [third] : [])];
  /** The mixes that a rung holds, with their parts. */
  const partsIn = ({ units }: Rung): { readonly n: number; readonly of: Pick<Other, 'of' | 'name'> }[] =>
    units.flatMap((n, i) => {
      const of = mixes[i];
      return n > 0 && of ? [{ n, of }] : [];
    });
  const put = (rung: Rung): void => {
    const [one, two] = partsIn(rung);
    if (!one || !two) return;
    void make(
      `${one.of.name} ${one.n} to ${two.n} ${two.of.name}`.slice(0, 80),
      [one, two].map(({ n, of }) => ({ parts: String(n), of: of.of })),
    );
  };
  const sheet = 'rungs' in worked ? cuttingSheet(worked.ends, worked.rungs, discs) : null;
  const missed = sheet
    ? sheet.errors.flatMap((error, i) =>
        error > SEEN && thinnedTwice(('rungs' in worked ? worked.rungs[i]?.units : undefined) ?? []) === null
          ? [i + 1]
          : [],
      )
    : [];
  const needed = missed.length > 0 && 'rungs' in worked ? fewestDiscs(worked.ends, worked.rungs, SEEN) : null;
  return (
    <Box as="section" aria-label="Ladder">
      <Flex alignItems="baseline" gap={3} wrap="wrap" marginBottom={2}>
        <h2>Ladder</h2>
        <Second>
          to{' '}
          <Word
            onClick={() => {
              setPicking('second');
            }}
          >
            {other.name}
          </Word>{' '}
          {third ? (
            <>
              and on to{' '}
              <Word
                onClick={() => {
                  setPicking('third');
                }}
              >
                {third.name}
              </Word>{' '}
              <Word
                aria-label={`Leave ${third.name} out`}
                onClick={() => {
                  setThird(null);
                }}
              >
                leave it out
              </Word>
            </>
          ) : (
            <Word
              onClick={() => {
                setPicking('third');
              }}
            >
              and on to a third
            </Word>
          )}
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
        <Grid as="ol" gridAutoFlow="column" gridAutoColumns="minmax(0, 1fr)" aria-label="Steps">
          {worked.rungs.map((rung, i) => {
            const [one, two] = partsIn(rung);
            const twice = thinnedTwice(rung.units);
            const laid = (sheet?.rungs[i] ?? []).filter((d) => d.compare(0) > 0);
            // a pure rung shows its place on both sides: 1:0, 0:1
            const pure = i === worked.rungs.length - 1 ? '0:1' : '0:1:0';
            const end = i === 0 ? '1:0' : pure;
            const ratio = one && two ? `${one.n}:${two.n}` : end;
            return (
              <Box as="li" key={rung.units.join()} textAlign="center" listStyleType="none">
                <RungButton
                  aria-label={
                    'Make a mix of ' + `${[one, two].flatMap((p) => (p ? [`${p.n} ${p.of.name}`] : [])).join(' to ')}`
                  }
                  title="make this mix"
                  disabled={!two}
                  style={{ background: `#${hexOf(xyzOfLab(rung.lab))}` }}
                  onClick={() => {
                    put(rung);
                  }}
                />
                <Box fontWeight={700} fontSize={worked.rungs.length > 11 ? 'caption' : 'small'} marginTop={1}>
                  {ratio}
                </Box>
                <Caption>
                  {twice === null ? laid.map(showNumber).join(' + ') : `1 to ${twice}, then 1 of that to ${twice}`}
                </Caption>
              </Box>
            );
          })}
        </Grid>
      )}
      {sheet && (
        <Box fontSize="small" marginTop={1}>
          With{' '}
          <Value
            label="Discs in each step"
            text={showNumber(new Fraction(discs))}
            read={readDiscs}
            onChange={setDiscs}
          />{' '}
          discs in each step, all punched with one cutter out of sheets of one setting:{' '}
          {inWords(mixes.map((m, i) => discWords(sheet.total[i] ?? new Fraction(0), m.name)))}.
        </Box>
      )}
      {missed.length > 0 && (
        <Warning>
          Quarter discs miss step {missed.join(', ')} by more than the eye lets pass
          {needed === null ? '; weigh those' : `: lay ${needed} discs in each step, or weigh those`}.
        </Warning>
      )}
      {wrong !== null && <Warning>{wrong}</Warning>}
    </Box>
  );
}

const discWords = (count: Fraction, name: string): string =>
  `${showNumber(count)} ${count.compare(1) > 0 ? 'discs' : 'disc'} of ${name}`;

const inWords = (list: readonly string[]): string =>
  list.length < 2 ? list.join('') : `${list.slice(0, -1).join(', ')} and ${list.at(-1) ?? ''}`;

function readCount(text: string): number {
  const count = readNumber(text).valueOf();
  if (!Number.isInteger(count) || count < 3 || count > 15) throw complaint('ladder/count');
  return count;
}

function readDiscs(text: string): number {
  const discs = readNumber(text).valueOf();
  if (!(discs > 0) || discs > 500)
    throw complaint('unit/range', { what: 'The number of discs', low: '¼', high: '500' });
  return discs;
}
