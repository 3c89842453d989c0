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

/** Amounts of some clays, in grams or, while they are refined, in steps of a scale; and how good they are. */
interface Tried {
  readonly of: readonly Candidate[];
  readonly x: readonly number[];
  /** ΔE00 from what is wanted, and the price of the clay */
  readonly score: number;
}

const better = (a: Tried, b: Tried): Tried => (b.score < a.score ? b : a);

/** What is looked for, and how one try is judged. */
interface Search {
  readonly labWith: (of: readonly Candidate[], grams: readonly number[]) => Lab;
  readonly tryOut: (of: readonly Candidate[], grams: readonly number[]) => Tried;
  /** grams of a clay, at most: what there is, and no more than makes sense */
  readonly mostOf: (clay: Candidate) => number;
}

function searchFor({ grams, reads, wanted, pigment, density }: CorrectInput): Search {
  const actual = matchedPigment(pigment, reads);
  const own = grams / density;
  const labWith: Search['labWith'] = (of, x) =>
    labOf(mixPigments([actual, ...of.map((c) => c.pigment)], [own, ...of.map((c, i) => (x[i] ?? 0) / c.density)]));
  const tryOut: Search['tryOut'] = (of, x) => {
    const added = x.reduce((a, b) => a + b, 0);
    return { of, x, score: deltaE(labWith(of, x), wanted) + (PRICE * added) / grams };
  };
  return { labWith, tryOut, mostOf: (c) => Math.floor(Math.min(c.left, MOST * grams) / STEP + 1e-9) * STEP };
}

/** Amounts of a clay that are tried first: finer where a pinch already shows. */
const amountsOf = (most: number): number[] => Array.from({ length: GRID }, (_, i) => most * ((i + 1) / GRID) ** 3);

const MOVES: readonly (readonly (readonly number[])[])[] = [
  [],
  [[1], [-1]],
  [
    [1, 0],
    [-1, 0],
    [0, 1],
    [0, -1],
    [1, 1],
    [-1, -1],
    [1, -1],
    [-1, 1],
  ],
];

/** Walks down from the best of the grid, first in long steps, then in those of a scale. */
function refine({ tryOut, mostOf }: Search, { of, x }: Tried): Tried {
  const at = (steps: readonly number[]): Tried => ({
    ...tryOut(
      of,
      steps.map((n) => n * STEP),
    ),
    x: steps,
  });
  const most = of.map((c) => Math.round(mostOf(c) / STEP));
  let best = at(x.map((g) => Math.round(g / STEP)));
  let stride = Math.max(1, Math.round(Math.max(...best.x) / 4));
  while (stride >= 1) {
    const from = best;
    const next = (MOVES[of.length] ?? [])
      .map((move) => at(from.x.map((n, i) => Math.min(most[i] ?? 0, Math.max(0, n + stride * (move[i] ?? 0))))))
      .reduce(better, from);
    if (next !== from) best = next;
    else if (stride === 1) break;
    else stride = Math.ceil(stride / 2);
  }
  return { ...best, x: best.x.map((n) => n * STEP) };
}

/** The best amounts of each clay alone, and of each pair, as far as pairs are worth refining. */
function tries(search: Search, clays: readonly Candidate[]): readonly (readonly Tried[])[] {
  const usable = clays.filter((c) => search.mostOf(c) > 0);
  const amounts = new Map(usable.map((c) => [c, amountsOf(search.mostOf(c))]));
  const best = (of: readonly Candidate[], all: readonly (readonly number[])[]): Tried =>
    all.map((x) => search.tryOut(of, x)).reduce(better);
  const singles = usable.map((c) =>
    best(
      [c],
      (amounts.get(c) ?? []).map((x) => [x]),
    ),
  );
  const pairs = usable.flatMap((one, i) =>
    usable.slice(i + 1).map((other) =>
      best(
        [one, other],
        (amounts.get(one) ?? []).flatMap((x) => (amounts.get(other) ?? []).map((y) => [x, y])),
      ),
    ),
  );
  const promising = pairs.sort((a, b) => a.score - b.score).slice(0, REFINED);
  return [singles, promising].map((list) => list.map((tried) => refine(search, tried)));
}

/**
 * What to add to a mix that came out differently: at most two clays, each in
 * tenths of a gram and no more than there is. Clay can only be added. The
 * mix counts as one pigment with the strength its recipe gives it and the
 * colour that was measured.
 * @returns as it is, the best with one clay, the best with two, where each is worth it; only the first where
 * nothing helps
 * @throws Complaint `amount/positive`
 */
export function correct(input: CorrectInput): Correction[] {
  const { grams, reads, wanted, clays } = input;
  if (!(grams > 0) || !Number.isFinite(grams)) throw complaint('amount/positive', { what: 'The weight of the mix' });
  const search = searchFor(input);
  const list: Correction[] = [{ adds: [], deltaE: deltaE(reads, wanted), lab: reads }];
  for (const tried of tries(search, clays)) {
    if (tried.length === 0) continue;
    const { of, x } = tried.reduce(better);
    const adds = of
      .map((c, i) => ({ clayId: c.id, grams: Math.round((x[i] ?? 0) * 10) / 10 }))
      .filter((a) => a.grams > 0);
    const lab = search.labWith(of, x);
    const off = deltaE(lab, wanted);
    if (adds.length === of.length && off < (list.at(-1)?.deltaE ?? 0) - WORTH) list.push({ adds, deltaE: off, lab });
  }
  return list;
}
