import { choleskyInPlace, choleskySolve } from '#core/linear';
import type { Known } from './dialCurve.js';

/** Rising by more than this of their uncertainty, readings contradict the dial. */
const RISES = 1e-9;

/** Keeps the system solvable where readings hardly differ. */
const EASE = 1e-9;

/** Least squares of a polynomial by its normal equations; the degree is small. @returns its value at x */
function polynomial(
  xs: readonly number[],
  ys: readonly number[],
  weights: readonly number[],
  degree: number,
): (x: number) => number {
  const n = degree + 1;
  const [middle, half] = [
    (Math.max(...xs) + Math.min(...xs)) / 2,
    Math.max(1e-9, (Math.max(...xs) - Math.min(...xs)) / 2),
  ];
  const powers = (x: number): number[] => Array.from({ length: n }, (_, k) => ((x - middle) / half) ** k);
  const rows = xs.map(powers);
  const weighed = (value: (k: number) => number): number =>
    xs.reduce((sum, _, k) => sum + (weights[k] as number) * value(k), 0);
  const power = (k: number, i: number): number => rows[k]?.[i] as number;
  const normal = Float64Array.from({ length: n * n }, (_, at) => {
    const [i, j] = [Math.floor(at / n), at % n];
    return weighed((k) => power(k, i) * power(k, j)) + (i === j ? EASE : 0);
  });
  const solved = Float64Array.from({ length: n }, (_, i) => weighed((k) => power(k, i) * (ys[k] as number)));
  choleskyInPlace(normal, n);
  choleskySolve(normal, n, solved);
  return (x) => powers(x).reduce((sum, p, k) => sum + p * (solved[k] as number), 0);
}

/** How far readings lie from a smooth curve through them, in log thickness, by their uncertainty. */
function roughness(known: readonly Known[]): number {
  if (known.length < 3) return 0;
  const degree = Math.min(3, known.length - 2);
  const [xs, ys, weights] = [
    known.map((k) => k.index),
    known.map((k) => Math.log(k.mm)),
    known.map((k) => (k.mm / k.sigma) ** 2),
  ];
  const curve = polynomial(xs, ys, weights, degree);
  return xs.reduce((sum, x, i) => sum + (weights[i] as number) * (curve(x) - (ys[i] as number)) ** 2, 0);
}

/** Pairs of neighbouring readings of which the later is thicker. */
const rising = (known: readonly Known[]): (readonly [Known, Known])[] =>
  known.slice(1).flatMap((later, i) => {
    const earlier = known[i] as Known;
    return later.mm > earlier.mm * (1 + RISES) ? [[earlier, later] as const] : [];
  });

/**
 * The readings to doubt: of two that contradict each other the one without
 * which a smooth curve fits the others best; again, until none contradict.
 * @returns those that stay, and those that are doubted, by their place on the dial
 */
export function withoutSuspects(known: readonly Known[]): {
  readonly kept: readonly Known[];
  readonly doubted: ReadonlySet<number>;
} {
  const doubted = new Set<number>();
  let kept = known;
  for (let pairs = rising(kept); pairs.length > 0; pairs = rising(kept)) {
    const candidates = [...new Set(pairs.flat())];
    const without = (k: Known): readonly Known[] => kept.filter((other) => other !== k);
    // what still contradicts without it counts first, then how smooth the others are
    const scored = candidates.map((k) => ({
      k,
      left: rising(without(k)).length,
      rough: roughness(without(k)),
      sigma: k.sigma / k.mm,
    }));
    scored.sort((a, b) => a.left - b.left || a.rough - b.rough || b.sigma - a.sigma);
    const worst = scored[0]?.k as Known;
    doubted.add(worst.index);
    kept = without(worst);
  }
  return { kept, doubted };
}
