import {
  deltaE,
  joined,
  labOf,
  mixPigments,
  type Lab,
  type Pigment,
  type PigmentSource,
  type Stage,
} from '#core/colour';
import { Fraction, sumOf } from '#core/units';
import { ratios, unitsOf, type Ratio } from './find/index.js';
import type { Flat } from './flatten.js';
import { complaint } from './sentences.js';

/** Parts of a ladder as makers usually lay them: from one pure end to the other. */
export const USUAL_PARTS: readonly Ratio[] = [
  [1, 0],
  [8, 1],
  [4, 1],
  [2, 1],
  [1, 1],
  [1, 2],
  [1, 4],
  [1, 8],
  [0, 1],
];

/** One rung: parts of each mix of the ladder, and the colour they give. */
export interface Rung {
  readonly units: Ratio;
  readonly lab: Lab;
}

/** A mix as one pigment, so that a mix of mixes is a mix. */
export const pigmentOfMix = (flat: Flat, stage: Stage, pigments: PigmentSource): Pigment =>
  joined(
    flat.shares.map(({ clay }) => pigments(clay, stage)),
    flat.shares.map(({ volume }) => volume.valueOf()),
  );

const labAt = (ends: readonly Pigment[], units: ArrayLike<number>): Lab => labOf(mixPigments(ends, units));

/** The ladder of given parts between two mixes. */
export const ladder = (ends: readonly [Pigment, Pigment], parts: readonly Ratio[] = USUAL_PARTS): Rung[] =>
  parts.map((units) => ({ units, lab: labAt(ends, units) }));

const SAMPLES = 600;
/** Parts of a mix that is thinned twice by the same: one part to so many, and one part of that to so many again. */
const TWICE = [8, 9, 10, 11, 12, 13, 15, 17, 20, 24, 30, 40];
const partsTwice = (n: number): number => (n + 1) ** 2 - 1;
/** Makeable rungs: what halves up to eight parts allow, pinches beyond, and what is thinned twice. */
const MAKEABLE: readonly Ratio[] = [
  ...ratios(2),
  ...[16, 20, 24, 28, 32, 40, 48, 56, 64, ...TWICE.map(partsTwice)].flatMap((n): Ratio[] => [
    [n, 1],
    [1, n],
  ]),
].sort((x, y) => (x[1] ?? 0) / unitsOf(x) - (y[1] ?? 0) / unitsOf(y));
/**
 * Where a rung is made by thinning twice: one part to so many, and one part of that to so many again; null where
 * it is not.
 */
export function thinnedTwice(units: Ratio): number | null {
  const parts = units.filter((n) => n > 0);
  if (Math.min(...parts) !== 1 || parts.length !== 2) return null;
  return TWICE.find((n) => partsTwice(n) === Math.max(...parts)) ?? null;
}

/** A simpler ratio is taken where it is farther from the even step by no more than this. */
const TOLERATED = 0.6;

/** Shares of the second mix on the way to it: closer together near the ends, where a pinch changes most. */
const SHARES: readonly number[] = Array.from(
  { length: SAMPLES + 1 },
  (_, i) => (1 - Math.cos((Math.PI * i) / SAMPLES)) / 2,
);
/** ΔE00 that was gone by each colour of a row. */
function wayAlong(colours: readonly Lab[]): number[] {
  const way = [0];
  for (let i = 1; i < colours.length; i++)
    way.push((way[i - 1] ?? 0) + deltaE(colours[i - 1] as Lab, colours[i] as Lab));
  return way;
}
const wayBetween = (ends: readonly [Pigment, Pigment]): number[] =>
  wayAlong(SHARES.map((t) => labAt(ends, [1 - t, t])));

/**
 * A ladder whose rungs look equally far apart: the way from one mix to the
 * other is measured in ΔE00, cut into equal pieces, and each cut rounded to
 * parts that can be laid down, simple ones first.
 * @param count rungs, the two pure ends among them
 * @throws Complaint `ladder/count`
 */
export function equalSteps(ends: readonly [Pigment, Pigment], count: number): Rung[] {
  if (!Number.isInteger(count) || count < 3 || count > 15) throw complaint('ladder/count');
  const colours = SHARES.map((t) => labAt(ends, [1 - t, t]));
  const way = wayAlong(colours);
  const whole = way[SAMPLES] ?? 0;

  const rungs: Rung[] = [{ units: [1, 0], lab: labAt(ends, [1, 0]) }];
  const made = MAKEABLE.map((units): Rung => ({ units, lab: labAt(ends, units) }));
  let from = 0;
  for (let k = 1; k < count - 1; k++) {
    const wished = (whole * k) / (count - 1);
    const at = Math.max(
      1,
      way.findIndex((w) => w >= wished),
    );
    const colour = colours[at] as Lab;
    // as many makeable ones have to be left as rungs are still to come
    const open = made.slice(from, made.length - (count - 2 - k));
    const away = open.map((rung) => deltaE(rung.lab, colour));
    const least = Math.min(...away);
    const good = open.flatMap((rung, i) => ((away[i] ?? Infinity) <= least + TOLERATED ? [{ rung, i }] : []));
    const simplest = good.reduce((a, b) => (unitsOf(b.rung.units) < unitsOf(a.rung.units) ? b : a));
    rungs.push(simplest.rung);
    from += simplest.i + 1;
  }
  return [...rungs, { units: [0, 1], lab: labAt(ends, [0, 1]) }];
}

/** Rungs for two or three mixes in a row: from the first to the second, and on to the third. */
function legs(
  ends: readonly Pigment[],
  leg: (pair: readonly [Pigment, Pigment], at: number) => readonly Rung[],
): Rung[] {
  return ends.slice(1).flatMap((to, at) => {
    const from = ends[at] as Pigment;
    const rungs = leg([from, to], at).map(({ units: [a = 0, b = 0], lab }): Rung => ({
      lab,
      units: ends.map((_, i) => [a, b][i - at] ?? 0),
    }));
    // the mix in the middle ends one leg and begins the next
    return at === 0 ? rungs : rungs.slice(1);
  });
}

/** The usual ladder through two or three mixes. */
export const usualLadder = (ends: readonly Pigment[]): Rung[] => legs(ends, (pair) => ladder(pair));

/**
 * A ladder in steps that look equal through two or three mixes; a longer leg
 * has more of the rungs.
 * @param count rungs in all @throws Complaint `ladder/count`; `ladder/three` for fewer than five rungs through
 * three mixes
 */
export function equalLadder(ends: readonly Pigment[], count: number): Rung[] {
  const [a, b, c] = ends;
  if (!a || !b) return [];
  if (!c) return equalSteps([a, b], count);
  if (!Number.isInteger(count) || count > 15) throw complaint('ladder/count');
  if (count < 5) throw complaint('ladder/three');
  const [one, other] = [wayBetween([a, b]).at(-1) ?? 0, wayBetween([b, c]).at(-1) ?? 0];
  const first = Math.min(count - 2, Math.max(3, 1 + Math.round(((count - 1) * one) / (one + other || 1))));
  return legs(ends, (pair, at) => equalSteps(pair, at === 0 ? first : count + 1 - first));
}

/** Discs of each mix for each rung, to the quarter disc, and for all of them. */
export interface CuttingSheet {
  readonly rungs: readonly (readonly Fraction[])[];
  readonly total: readonly Fraction[];
  /** how far the rounding moves the colour of each rung, ΔE00 */
  readonly errors: readonly number[];
}

const quarters = (exact: number): Fraction => new Fraction(Math.max(1, Math.round(exact * 4)), 4);

/**
 * What to punch for a ladder with `discs` discs in each rung. A mix that is
 * in a rung at all gets a quarter disc at least.
 * @throws Complaint `amount/positive`
 */
export function cuttingSheet(ends: readonly Pigment[], rungs: readonly Rung[], discs: number): CuttingSheet {
  if (!(discs > 0) || !Number.isFinite(discs)) throw complaint('amount/positive', { what: 'The number of discs' });
  const cut = rungs.map(({ units }) =>
    units.map((n) => (n === 0 ? new Fraction(0) : quarters((n * discs) / unitsOf(units)))),
  );
  return {
    rungs: cut,
    total: ends.map((_, i) => sumOf(cut.flatMap((rung) => rung[i] ?? []))),
    errors: rungs.map(({ lab }, i) =>
      deltaE(
        lab,
        labAt(
          ends,
          (cut[i] ?? []).map((n) => n.valueOf()),
        ),
      ),
    ),
  };
}

const MOST_DISCS = 200;

/**
 * The fewest discs in a rung at which quarter discs move no colour by more than `most`, or null where it takes
 * over 200; those that are thinned twice are no matter of discs.
 */
export function fewestDiscs(ends: readonly Pigment[], rungs: readonly Rung[], most: number): number | null {
  const punched = rungs.filter((r) => thinnedTwice(r.units) === null);
  for (let discs = 1; discs <= MOST_DISCS; discs++) {
    if (cuttingSheet(ends, punched, discs).errors.every((error) => error <= most)) return discs;
  }
  return null;
}
