import type { LearnedFigure } from '#core/learned';

/** Of a hundred pieces so many break, in the oven, at sanding or on the way: an assumption until some were counted. */
export const ASSUMED_BREAKAGE = 0.03;
/** Pieces whose count weighs as much as the assumption. */
const BELIEVED = 60;
/** In spreads of chance, beyond which a day is odd: a tray that fell. */
const BY_CHANCE = 3;
const ROUNDS = 12;

/** Pieces that were made at once, and how many of them broke. */
export interface MadeAtOnce {
  readonly pieces: number;
  readonly broken: number;
}

const sum = (numbers: readonly number[]): number => numbers.reduce((all, one) => all + one, 0);

/** The most that breaks by chance where so many are expected to (Poisson's distribution). */
const mostByChance = (expected: number): number => expected + BY_CHANCE * Math.sqrt(expected) + 1;

/**
 * The share of pieces that break, drawn towards the assumption by as few as there were; of an odd day only as many
 * count as chance would have broken.
 *
 * @param days with at least one piece each
 */
export function breakageLearned(days: readonly MadeAtOnce[]): LearnedFigure {
  const pieces = sum(days.map((day) => day.pieces)) + BELIEVED;
  const share = (broken: readonly number[]): number => (sum(broken) + BELIEVED * ASSUMED_BREAKAGE) / pieces;
  let rate = share([]);
  for (let round = 0; round < ROUNDS; round++) {
    const most = (day: MadeAtOnce): number => mostByChance(rate * day.pieces);
    rate = share(days.map((day) => Math.min(day.broken, most(day))));
  }
  const odd = days.flatMap((day, i) => (day.broken > mostByChance(rate * day.pieces) ? [i] : []));
  const off = Math.sqrt((1 - rate) / (rate * pieces));
  return { factor: rate / ASSUMED_BREAKAGE, from: days.length, off, odd };
}

/** Spares to cut beside `count` pieces, so that as many are whole in the end as are wanted, on the whole. */
export const sparesFor = (count: number, rate: number): number => Math.round((count * rate) / (1 - rate));
