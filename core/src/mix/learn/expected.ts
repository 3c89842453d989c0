import { BANDS, WEIGHTS, labOf, mixPigments, statedPigment, type Lab } from '#core/colour';
import { choleskyInPlace, choleskyInverse, choleskySolve } from '#core/linear';
import type { Clay } from '#core/clay';
import { CURVES, SIGMA_OF_TERM, TERMS } from './curves.js';
import { away, offsetOf, shapes, type Shape } from './shapes.js';

/**
 * What is expected of the terms of a clay's curve before a chip of it is made: their mean, and the inverse of
 * their covariance (TERMS²).
 */
export interface Expected {
  readonly mean: Float64Array;
  readonly precision: Float64Array;
}

/** So many pigments of nearly the colour are looked at: an assumption. */
const NEIGHBOURS = 80;
/** L*a*b* distance within which pigments always count nearly alike: an assumption. */
const NEAR = 4;
/** Weight of a band that no eye sees, so that the terms stay finite there. */
const UNSEEN = 0.02;

/** How much each band matters to the eye; 36, and {@link UNSEEN} at least. */
const SEEN = Float64Array.from({ length: BANDS }, (_, band) => {
  const sum = [0, 1, 2].reduce((all, row) => all + (WEIGHTS[row * BANDS + band] as number), 0);
  return UNSEEN + (10 * sum) / 3;
});

/** Σ over the bands of what is seen of two curves together. */
function together(one: (band: number) => number, other: (band: number) => number): number {
  return SEEN.reduce((sum, seen, band) => sum + seen * one(band) * other(band), 0);
}
const curve =
  (term: number) =>
  (band: number): number =>
    CURVES[term * BANDS + band] as number;

/** The triangle of the normal equations of the terms. */
const NORMAL: Float64Array = (() => {
  const all = Float64Array.from({ length: TERMS * TERMS }, (_, k) =>
    together(curve(Math.floor(k / TERMS)), curve(k % TERMS)),
  );
  choleskyInPlace(all, TERMS);
  return all;
})();

/** Those that were asked for; most of them never are. */
const known = new WeakMap<Shape, Float64Array>();

/** A shape in the terms that come nearest to it where the eye sees. */
function inTerms(shape: Shape): Float64Array {
  const before = known.get(shape);
  if (before) return before;
  const offset = offsetOf(shape);
  const terms = Float64Array.from({ length: TERMS }, (_, term) =>
    together(curve(term), (band) => offset[band] as number),
  );
  choleskySolve(NORMAL, TERMS, terms);
  known.set(shape, terms);
  return terms;
}

interface Neighbour {
  readonly terms: Float64Array;
  readonly weight: number;
}

/** The pigments nearest in colour; their weights add up to 1. */
function neighbours(lab: Lab): Neighbour[] {
  const nearest = shapes()
    .map((shape) => ({ shape, off: away(shape.lab, lab) }))
    .sort((a, b) => a.off - b.off)
    .slice(0, NEIGHBOURS);
  const width = Math.max(NEAR, (nearest.at(-1)?.off ?? 0) / 1.5);
  const weights = nearest.map(({ off }) => Math.exp(-0.5 * (off / width) ** 2));
  const whole = weights.reduce((a, b) => a + b, 0);
  return nearest.map(({ shape }, i) => ({ terms: inTerms(shape), weight: (weights[i] as number) / whole }));
}

/** Weighted mean of what a function finds in each. */
const meanOf = (of: readonly Neighbour[], value: (terms: Float64Array) => number): number =>
  of.reduce((sum, { terms, weight }) => sum + weight * value(terms), 0);

/**
 * What the colour of a clay lets one expect of its curve: mean and spread of
 * the made-up pigments that look nearly like it, and on top of their spread
 * the freedom of every term, for what no shape says.
 */
export function expectedOf(clay: Clay): Expected {
  const around = neighbours(labOf(mixPigments([statedPigment(clay, 'baked')], [1])));
  const mean = Float64Array.from({ length: TERMS }, (_, term) => meanOf(around, (terms) => terms[term] as number));
  const off = (terms: Float64Array, term: number): number => (terms[term] as number) - (mean[term] as number);
  const spread = Float64Array.from({ length: TERMS * TERMS }, (_, k) => {
    const [s, t] = [Math.floor(k / TERMS), k % TERMS];
    const free = s === t ? (SIGMA_OF_TERM[s] as number) ** 2 : 0;
    return free + meanOf(around, (terms) => off(terms, s) * off(terms, t));
  });
  choleskyInPlace(spread, TERMS);
  return { mean, precision: choleskyInverse(spread, TERMS) };
}
