import type { Known } from './dialCurve.js';

/** Rising by more than this of their uncertainty, readings contradict the dial. */
const RISES = 1e-9;

/** Least squares of a polynomial by its normal equations; the degree is small. @returns its value at x */
function polynomial(xs: readonly number[], ys: readonly number[], weights: readonly number[], degree: number): (x: number) => number {
  const n = degree + 1;
  const [middle, half] = [(Math.max(...xs) + Math.min(...xs)) / 2, Math.max(1e-9, (Math.max(...xs) - Math.min(...xs)) / 2)];
  const powers = (x: number): number[] => Array.from({ length: n }, (_, k) => ((x - middle) / half) ** k);
  const rows = Array.from({ length: n }, (_, i) => [...Array.from({ length: n }, (__, j) => xs.reduce((sum, x, k) => sum + (weights[k] as number) * (powers(x)[i] as number) * (powers(x)[j] as number), i === j ? 1e-9 : 0)), xs.reduce((sum, x, k) => sum + (weights[k] as number) * (powers(x)[i] as number) * (ys[k] as number), 0)]);
  for (let i = 0; i < n; i++) {
    for (let j = i + 1; j < n; j++) {
      const factor = (rows[j]?.[i] as number) / (rows[i]?.[i] as number);
      for (let k = i; k <= n; k++) (rows[j] as number[])[k] = (rows[j]?.[k] as number) - factor * (rows[i]?.[k] as number);
    }
  }
  const solved: number[] = [];
  for (let i = n - 1; i >= 0; i--) {
    let sum = rows[i]?.[n] as number;
    for (let j = i + 1; j < n; j++) sum -= (rows[i]?.[j] as number) * (solved[j] as number);
    solved[i] = sum / (rows[i]?.[i] as number);
  }
  return (x) => powers(x).reduce((sum, p, k) => sum + p * (solved[k] as number), 0);
}

/** How far readings lie from a smooth curve through them, in log thickness, by their uncertainty. */
function roughness(known: readonly Known[]): number {
  if (known.length < 3) return 0;
  const degree = Math.min(3, known.length - 2);
  const [xs, ys, weights] = [known.map((k) => k.index), known.map((k) => Math.log(k.mm)), known.map((k) => (k.mm / k.sigma) ** 2)];
  const curve = polynomial(xs, ys, weights, degree);
  return xs.reduce((sum, x, i) => sum + (weights[i] as number) * (curve(x) - (ys[i] as number)) ** 2, 0);
}

/** Pairs of neighbouring readings of which the later is thicker. */
const rising = (known: readonly Known[]): (readonly [Known, Known])[] =>
  known.slice(1).flatMap((later, i) => { const earlier = known[i] as Known; return later.mm > earlier.mm * (1 + RISES) ? [[earlier, later] as const] : []; });

/**
 * The readings to doubt: of two that contradict each other the one without
 * which a smooth curve fits the others best; again, until none contradict.
 * @returns those that stay, and those that are doubted, by their place on the dial
 */
export function withoutSuspects(known: readonly Known[]): { readonly kept: readonly Known[]; readonly doubted: ReadonlySet<number> } {
  const doubted = new Set<number>();
  let kept = known;
  for (let pairs = rising(kept); pairs.length > 0; pairs = rising(kept)) {
    const candidates = [...new Set(pairs.flat())];
    const without = (k: Known): readonly Known[] => kept.filter((other) => other !== k);
    // what still contradicts without it counts first, then how smooth the others are
    const scored = candidates.map((k) => ({ k, left: rising(without(k)).length, rough: roughness(without(k)), sigma: k.sigma / k.mm }));
    scored.sort((a, b) => a.left - b.left || a.rough - b.rough || b.sigma - a.sigma);
    const worst = scored[0]?.k as Known;
    doubted.add(worst.index);
    kept = without(worst);
  }
  return { kept, doubted };
}
