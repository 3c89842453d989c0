import { deltaEFrame, statedPigment, type Pigment } from '#core/colour';
import { correctedPigment } from './curves.js';
import { SIGMA_OF_CHIP } from './evidence.js';
import type { Lesson } from './learn.js';
import { UNKNOWNS, addInformation, sandwich, sensitivity, sightOf, type Sight } from './sensitivity.js';

/** A chip that could be made: clays with whole parts. */
export interface Proposal {
  readonly clayIds: readonly string[];
  readonly parts: readonly number[];
}
/** A proposal, and the expected ΔE00 of predictions over the shelf before it and after it. */
export interface NextChip extends Proposal {
  readonly before: number;
  readonly after: number;
}

const PAIR_PARTS: readonly (readonly [number, number])[] = [
  [1, 1],
  [1, 2],
  [2, 1],
  [1, 4],
  [4, 1],
  [1, 8],
  [8, 1],
];
const TRIPLE_PARTS: readonly (readonly [number, number, number])[] = [
  [1, 1, 1],
  [4, 1, 1],
  [1, 4, 1],
  [1, 1, 4],
];
/** Triples are tried for so many clays, the least known ones. */
const TRIPLES_OF = 10;

interface Looked {
  readonly of: readonly number[];
  readonly parts: readonly number[];
  readonly sight: Sight;
}

function pairs(n: number): [number, number][] {
  return Array.from({ length: n }, (_, i) =>
    Array.from({ length: n - i - 1 }, (__, k): [number, number] => [i, i + k + 1]),
  ).flat();
}

/** Trace of A⁻¹·B for symmetric 3×3 matrices. */
function traceOfQuotient(a: Float64Array, b: Float64Array): number {
  const [p = 0, q = 0, r = 0, , s = 0, t = 0, , , u = 0] = a;
  const det = p * (s * u - t * t) - q * (q * u - r * t) + r * (q * t - r * s);
  const inverse = [
    s * u - t * t,
    r * t - q * u,
    q * t - r * s,
    r * t - q * u,
    p * u - r * r,
    q * r - p * t,
    q * t - r * s,
    q * r - p * t,
    p * s - q * q,
  ];
  let sum = 0;
  for (let k = 0; k < 9; k++) sum += ((inverse[k] as number) * (b[3 * (k % 3) + Math.floor(k / 3)] as number)) / det;
  return sum;
}

/** How a chip of some clays would be seen, from what is known of them. */
function lookWith({ clays, learned }: Lesson): (of: readonly number[], parts: readonly number[]) => Looked {
  const pigments = clays.map((clay): Pigment => {
    const own = learned[clay.id];
    return own ? correctedPigment(statedPigment(clay, 'baked'), own) : statedPigment(clay, 'baked');
  });
  return (of, parts) => {
    const { lab, rows } = sensitivity(
      of.map((i) => pigments[i] as Pigment),
      parts,
    );
    return { of, parts, sight: sightOf(of, rows, deltaEFrame(lab), 1) };
  };
}

/** The mixes of a pair that are asked about. */
const ASKED_PARTS = [
  [1, 1],
  [1, 4],
  [4, 1],
] as const;

/** All triples of those clays that least is known of. @param open indices of the clays to choose from */
function triplesOf({ covariance, clays }: Lesson, open: readonly number[]): readonly (readonly number[])[] {
  const size = clays.length * UNKNOWNS;
  const unsure = (i: number): number => covariance[i * UNKNOWNS * (size + 1)] ?? 0;
  const least = [...open]
    .sort((a, b) => unsure(b) - unsure(a))
    .slice(0, TRIPLES_OF)
    .sort((a, b) => a - b);
  return pairs(least.length).flatMap(([i, j]) =>
    least.slice(j + 1).map((k) => [least[i] as number, least[j] as number, k]),
  );
}

/** The proposal that tells most, and by how much it lessens the expected squared ΔE00. */
function mostTelling(
  proposals: readonly Looked[],
  covariance: Float64Array,
  wish: Float64Array,
  size: number,
): { readonly looked: Looked; readonly gain: number } | null {
  const spread = product(product(covariance, wish, size), covariance, size);
  let best: { looked: Looked; gain: number } | null = null;
  for (const looked of proposals) {
    const own = sandwich(looked.sight, covariance, size);
    for (let k = 0; k < 3; k++) own[4 * k] = (own[4 * k] as number) + NOISE;
    const gain = traceOfQuotient(own, sandwich(looked.sight, spread, size));
    if (!best || gain > best.gain) best = { looked, gain };
  }
  return best;
}

/** Variance of a reading of a chip, ΔE². */
const NOISE = SIGMA_OF_CHIP['colour reader'] ** 2;

/**
 * The chips worth making next, the most telling first: those that reduce the
 * expected squared ΔE00 of predictions most, over every pair of clays that
 * may be used (optimal design for the linearised model; V. Fedorov, "Theory
 * of Optimal Experiments", 1972). Each later one counts on those before it.
 * @param usable ids of clays to choose from, at least two for a mix
 */
export function nextChips(lesson: Lesson, usable: readonly string[], count: number): NextChip[] {
  const { clays } = lesson;
  const size = clays.length * UNKNOWNS;
  const open = clays.flatMap((clay, i) => (usable.includes(clay.id) ? [i] : []));
  const ofPairs = pairs(open.length).map((places) => places.map((p) => open[p] as number));
  const look = lookWith(lesson);
  const asked = ofPairs.flatMap((of) => ASKED_PARTS.map((parts) => look(of, parts)));
  if (asked.length === 0) return [];
  const proposals = [
    ...open.map((i) => look([i], [1])),
    ...ofPairs.flatMap((of) => PAIR_PARTS.map((parts) => look(of, parts))),
    ...triplesOf(lesson, open).flatMap((of) => TRIPLE_PARTS.map((parts) => look(of, parts))),
  ];
  const wish = new Float64Array(size * size);
  for (const { sight } of asked) addInformation(wish, size, sight, 1 / asked.length);
  const covariance = lesson.covariance.slice();
  const found: NextChip[] = [];
  for (let n = 0; n < count; n++) {
    const best = mostTelling(proposals, covariance, wish, size);
    if (!best) break;
    const before = traceOfProduct(wish, covariance, size);
    found.push({
      clayIds: best.looked.of.map((i) => clays[i]?.id ?? ''),
      parts: best.looked.parts,
      before: Math.sqrt(before),
      after: Math.sqrt(Math.max(0, before - best.gain)),
    });
    if (n + 1 < count) takeIn(covariance, size, best.looked.sight, NOISE);
  }
  return found;
}

function product(a: Float64Array, b: Float64Array, n: number): Float64Array {
  const out = new Float64Array(n * n);
  for (let i = 0; i < n; i++)
    for (let k = 0; k < n; k++) {
      const factor = a[i * n + k] as number;
      if (factor === 0) continue;
      for (let j = 0; j < n; j++) out[i * n + j] = (out[i * n + j] as number) + factor * (b[k * n + j] as number);
    }
  return out;
}

/** Trace of A·B for symmetric matrices. */
function traceOfProduct(a: Float64Array, b: Float64Array, n: number): number {
  let sum = 0;
  for (let k = 0; k < n * n; k++) sum += (a[k] as number) * (b[k] as number);
  return sum;
}

/** What is known after a chip: Kalman's update, one row after the other. */
function takeIn(covariance: Float64Array, size: number, { places, rows }: Sight, noise: number): void {
  const columns = places.length;
  for (let r = 0; r < 3; r++) {
    const gain = new Float64Array(size);
    for (let k = 0; k < columns; k++) {
      const from = places[k] as number;
      for (let i = 0; i < size; i++)
        gain[i] = (gain[i] as number) + (covariance[i * size + from] as number) * (rows[r * columns + k] as number);
    }
    let spread = noise;
    for (let k = 0; k < columns; k++)
      spread += (gain[places[k] as number] as number) * (rows[r * columns + k] as number);
    for (let i = 0; i < size; i++)
      for (let j = 0; j < size; j++)
        covariance[i * size + j] =
          (covariance[i * size + j] as number) - ((gain[i] as number) * (gain[j] as number)) / spread;
  }
}
