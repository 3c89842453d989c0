import { ofClay, ofMix, type Mixable } from '#core/material';
import { labOf, mixPigments, type Pigment, type PigmentSource } from '#core/colour';
import {
  complaint,
  cuttingSheet,
  equalLadder,
  fewestDiscs,
  flatOf,
  pigmentOfMix,
  thinnedTwice,
  usualLadder,
  type CuttingSheet,
  type Flat,
  type Rung,
} from '#core/mix';
import { Fraction, attempt, readNumber, showNumber } from '#core/units';
import type { RevisionAnswer, ShelfAnswer } from '#contract';
import type { Picked } from '../../parts/MaterialPicker.js';
import { bookOf } from '../../state/book.js';

/** A clay or a mix at an end of a ladder. */
export type Other = Pick<Picked<Mixable>, 'of' | 'name'> & { readonly flat: Flat };
/** Steps of the usual parts, or steps that look equal. */
export type LadderKind = 'usual' | 'equal';

/** ΔE00 from which two colours can be told apart side by side. */
const SEEN = 1.5;

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

/** The ladder, worked out; or the sentence why it cannot be. */
export type Worked =
  { readonly rungs: readonly Rung[]; readonly ends: readonly Pigment[] } | { readonly wrong: string };

/** The way through two or three mixes. @param count steps of a ladder that looks equal */
export function workOut(flats: readonly Flat[], kind: LadderKind, count: number, pigments: PigmentSource): Worked {
  const ends = flats.map((of) => pigmentOfMix(of, 'baked', pigments));
  return attempt(
    (): Worked => ({ ends, rungs: kind === 'usual' ? usualLadder(ends) : equalLadder(ends, count) }),
    (wrong): Worked => ({ wrong: wrong.message }),
  );
}

/** A mix on a rung, with its parts. */
export interface OnRung {
  readonly n: number;
  readonly of: Mixable;
  readonly name: string;
}

/** The mixes that a rung holds. @param mixes those of the ladder, in its order */
export const onRung = ({ units }: Rung, mixes: readonly Pick<Other, 'of' | 'name'>[]): readonly OnRung[] =>
  units.flatMap((n, i) => {
    const mix = mixes[i];
    return n > 0 && mix ? [{ n, of: mix.of, name: mix.name }] : [];
  });

/** The mixes of a ladder, in its order. */
export const mixesOn = (revisionId: string, name: string, others: readonly Other[]): Pick<Other, 'of' | 'name'>[] => [
  { of: ofMix(revisionId), name },
  ...others,
];

/** The parts of a rung; a pure one shows its place on both sides: 1:0, 0:1. */
export function ratioOf(parts: readonly OnRung[], at: number, last: number): string {
  const [one, two] = parts;
  if (one && two) return `${one.n}:${two.n}`;
  if (at === 0) return '1:0';
  return at === last ? '0:1' : '0:1:0';
}

/** What is laid down for a rung, in words. */
export function laidWords({ units }: Rung, discs: readonly Fraction[]): string {
  const twice = thinnedTwice(units);
  if (twice !== null) return `1 to ${twice}, then 1 of that to ${twice}`;
  return discs
    .filter((d) => d.compare(0) > 0)
    .map(showNumber)
    .join(' + ');
}

/** What is punched for a ladder, which of its steps quarter discs miss, and how many discs would not. */
export interface Punched {
  readonly sheet: CuttingSheet;
  /** steps by their numbers, from 1 */
  readonly missed: readonly number[];
  readonly needed: number | null;
}

export function punchedFor(worked: Worked, discs: number): Punched | null {
  if ('wrong' in worked) return null;
  const { ends, rungs } = worked;
  const sheet = cuttingSheet(ends, rungs, discs);
  const missed = sheet.errors.flatMap((error, i) =>
    error > SEEN && thinnedTwice(rungs[i]?.units ?? []) === null ? [i + 1] : [],
  );
  return { sheet, missed, needed: missed.length > 0 ? fewestDiscs(ends, rungs, SEEN) : null };
}

/** What is done about steps that quarter discs miss. */
export function missedWords({ missed, needed }: Punched): string {
  const mend = needed === null ? '; weigh those' : `: lay ${needed} discs in each step, or weigh those`;
  return `Quarter discs miss step ${missed.join(', ')} by more than the eye lets pass${mend}.`;
}

/** So many discs of a mix. */
export const discWords = (count: Fraction, name: string): string =>
  `${showNumber(count)} ${count.compare(1) > 0 ? 'discs' : 'disc'} of ${name}`;

/** A list in words. */
export const inWords = (list: readonly string[]): string =>
  list.length < 2 ? list.join('') : `${list.slice(0, -1).join(', ')} and ${list.at(-1) ?? ''}`;

/** Steps of a ladder, and discs in a step, at most. */
const [FEWEST_STEPS, MOST_STEPS, MOST_DISCS] = [3, 15, 500];

/** A number of steps as it is typed. @throws Complaint `ladder/count`, `parts/unreadable` */
export function readCount(text: string): number {
  const count = readNumber(text).valueOf();
  if (!Number.isInteger(count) || count < FEWEST_STEPS || count > MOST_STEPS) throw complaint('ladder/count');
  return count;
}

/** A number of discs as it is typed. @throws Complaint `unit/range`, `parts/unreadable` */
export function readDiscs(text: string): number {
  const discs = readNumber(text).valueOf();
  if (!(discs > 0) || discs > MOST_DISCS)
    throw complaint('unit/range', { what: 'The number of discs', low: '¼', high: String(MOST_DISCS) });
  return discs;
}
