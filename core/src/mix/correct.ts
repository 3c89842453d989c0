import { deltaE, labOf, mixPigments, type Lab, type Pigment } from '#core/colour';
import { type Grams } from '#core/units';
import type { Candidate } from './find/index.js';
import { matchedPigment } from './learn/index.js';
import { complaint } from './sentences.js';

export interface CorrectInput {
  /** grams of the mix that are there, > 0 */
  readonly grams: Grams;
  /** how it reads */
  readonly reads: Lab;
  readonly wanted: Lab;
  /** as predicted from its recipe: its strength, and the shape of its curve */
  readonly pigment: Pigment;
  /** g/cm³ */
  readonly density: number;
  readonly clays: readonly Candidate[];
}

/** What to add. No clay: leave it as it is. */
export interface Correction {
  readonly adds: readonly { readonly clayId: string; readonly grams: Grams }[];
  readonly deltaE: number;
  readonly lab: Lab;
}

/** A scale shows tenths of a gram. */
const STEP: Grams = 0.1;
/** Nobody adds more than this many times what is there: then a new mix is less waste. */
const MOST = 3;
/** Amounts tried of each clay before the best ones are refined. */
const GRID = 14;
/** Pairs that are refined. */
const REFINED = 12;
/** Another clay has to bring it closer by this much to be worth it, ΔE00. */
const WORTH = 0.3;
/** Less clay is better: ΔE00 that doubling the mix has to bring. */
const PRICE = 0.4;

/**
 * What to add to a mix that came out differently: at most two clays, each in
 * tenths of a gram and no more than there is. Clay can only be added. The
 * mix counts as one pigment with the strength its recipe gives it and the
 * colour that was measured.
 * @returns as it is, the best with one clay, the best with two, where each is worth it; only the first where
 * nothing helps
 * @throws Complaint `amount/positive`
 */
export function correct({ grams, reads, wanted, pigment, density, clays }: CorrectInput): Correction[] {
  if (!(grams > 0) || !Number.isFinite(grams)) throw complaint('amount/positive', { what: 'The weight of the mix' });
  const actual = matchedPigment(pigment, reads);
  const own = grams / density;
  const labWith = (of: readonly Candidate[], x: readonly number[]): Lab =>
    labOf(mixPigments([actual, ...of.map((c) => c.pigment)], [own, ...of.map((c, i) => (x[i] ?? 0) / c.density)]));
  const score = (of: readonly Candidate[], x: readonly number[]): number =>
    deltaE(labWith(of, x), wanted) + (PRICE * x.reduce((a, b) => a + b, 0)) / grams;
  const mostOf = (c: Candidate): number => Math.floor(Math.min(c.left, MOST * grams) / STEP + 1e-9) * STEP;
  // finer where a pinch already shows
  const amounts = (c: Candidate): number[] => Array.from({ length: GRID }, (_, i) => mostOf(c) * ((i + 1) / GRID) ** 3);

  interface Tried {
    readonly of: readonly Candidate[];
    readonly x: readonly number[];
    readonly score: number;
  }
  const better = (a: Tried, b: Tried): Tried => (b.score < a.score ? b : a);
  /** Walks down from the best of the grid, first in long steps, then in those of a scale. */
  const refine = ({ of, x }: Tried): Tried => {
    let best: Tried = { of, x: x.map((g) => Math.round(g / STEP)), score: Infinity };
    const at = (units: readonly number[]): Tried => ({
      of,
      x: units,
      score: score(
        of,
        units.map((u) => u * STEP),
      ),
    });
    best = at(best.x);
    const moves =
      of.length === 1
        ? [[1], [-1]]
        : [
            [1, 0],
            [-1, 0],
            [0, 1],
            [0, -1],
            [1, 1],
            [-1, -1],
            [1, -1],
            [-1, 1],
          ];
    for (let stride = Math.max(1, Math.round(Math.max(...best.x) / 4)); stride >= 1;) {
      const next = moves
        .map((move) =>
          at(
            best.x.map((u, i) =>
              Math.min(Math.round(mostOf(of[i] as Candidate) / STEP), Math.max(0, u + stride * (move[i] ?? 0))),
            ),
          ),
        )
        .reduce(better, best);
      if (next === best) stride = stride === 1 ? 0 : Math.ceil(stride / 2);
      else best = next;
      if (stride === 0) break;
    }
    return best;
  };
  const coarse = (of: readonly Candidate[], all: readonly (readonly number[])[]): Tried =>
    all.map((x): Tried => ({ of, x, score: score(of, x) })).reduce(better);
  const usable = clays.filter((c) => mostOf(c) > 0);
  const singles = usable.map((c) =>
    refine(
      coarse(
        [c],
        amounts(c).map((x) => [x]),
      ),
    ),
  );
  const pairs = usable.flatMap((one, i) =>
    usable.slice(i + 1).map((other) =>
      coarse(
        [one, other],
        amounts(one).flatMap((x) => amounts(other).map((y) => [x, y])),
      ),
    ),
  );
  const bestPairs = pairs
    .sort((a, b) => a.score - b.score)
    .slice(0, REFINED)
    .map(refine);

  const list: Correction[] = [{ adds: [], deltaE: deltaE(reads, wanted), lab: reads }];
  for (const tried of [singles, bestPairs]) {
    if (tried.length === 0) continue;
    const { of, x } = tried.reduce(better);
    const adds = of
      .map((c, i) => ({ clayId: c.id, grams: Math.round((x[i] ?? 0) * STEP * 10) / 10 }))
      .filter((a) => a.grams > 0);
    const lab = labWith(
      of,
      x.map((u) => u * STEP),
    );
    const off = deltaE(lab, wanted);
    if (adds.length === of.length && off < (list.at(-1)?.deltaE ?? 0) - WORTH) list.push({ adds, deltaE: off, lab });
  }
  return list;
}
