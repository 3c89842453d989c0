/** How much single observations differ, and how far a bench is off what is assumed, both as logarithms. */
export interface Trust {
  /** spread of one observation around the truth, until some were seen */
  readonly each: number;
  /** spread of benches around what is assumed */
  readonly bench: number;
}

/** What some observations say of a figure. */
export interface LearnedFigure {
  /** times what is assumed */
  readonly factor: number;
  /** observations that it rests on */
  readonly from: number;
  /** how far it may be off, as a share (one standard deviation) */
  readonly off: number;
  /** places of those that are so far from the others that they hardly count */
  readonly odd: readonly number[];
}

/** From so many observations on their own spread is known. */
const ENOUGH = 4;
/** A median of distances is this part of a standard deviation (normal distribution). */
const MEDIAN_TO_SIGMA = 1.4826;
/** Nobody works as evenly as this or more so. */
const LEAST_SPREAD = 0.04;
/** In spreads, from which on an observation does not count at all (J. W. Tukey's biweight). */
const TUKEY = 4.685;
const ROUNDS = 20;
/** An observation with less weight than this is odd. */
const ODD_WEIGHT = 0.2;

const sum = (numbers: readonly number[]): number => numbers.reduce((a, b) => a + b, 0);

/** @param numbers at least one */
export function medianOf(numbers: readonly number[]): number {
  const sorted = [...numbers].sort((a, b) => a - b);
  const half = sorted.length / 2;
  const [low, high] = [sorted[Math.ceil(half) - 1] ?? 0, sorted[Math.floor(half)] ?? 0];
  return (low + high) / 2;
}

function spreadOf(logs: readonly number[], each: number): number {
  if (logs.length < ENOUGH) return each;
  const middle = medianOf(logs);
  const own = MEDIAN_TO_SIGMA * medianOf(logs.map((log) => Math.abs(log - middle)));
  return Math.min(each, Math.max(LEAST_SPREAD, own));
}

/** The weight of an observation so many spreads from the middle. */
function weightAt(spreads: number): number {
  const share = spreads / TUKEY;
  return Math.abs(share) >= 1 ? 0 : (1 - share * share) ** 2;
}

/**
 * A figure of a bench against what is assumed of it: the middle of the logarithms of `seen ÷ assumed` by Tukey's
 * biweight, which an odd day does not move, drawn towards the assumption by as much as single observations are
 * unsure (Bayes' rule for two normal distributions).
 * @param ratios seen ÷ assumed, all above 0
 */
export function learnedOf(ratios: readonly number[], { each, bench }: Trust): LearnedFigure {
  const logs = ratios.map(Math.log);
  if (logs.length === 0) return { factor: 1, from: 0, off: bench, odd: [] };
  const spread = spreadOf(logs, each);
  const believed = (spread / bench) ** 2;
  let middle = medianOf(logs);
  let weights = logs.map(() => 1);
  for (let round = 0; round < ROUNDS; round++) {
    const [from] = [middle];
    weights = logs.map((log) => weightAt((log - from) / spread));
    const all = sum(weights);
    if (all <= 0) break;
    middle = sum(logs.map((log, i) => log * (weights[i] ?? 0))) / all;
  }
  const counts = Math.max(sum(weights), ODD_WEIGHT);
  const factor = Math.exp((middle * counts) / (counts + believed));
  const odd = weights.flatMap((weight, i) => (weight < ODD_WEIGHT ? [i] : []));
  return { factor, from: ratios.length, off: spread / Math.sqrt(counts + believed), odd };
}
