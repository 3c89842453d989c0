import { deltaE, labOf, mixPigments, type Lab, type Pigment } from '#core/colour';
import { complaint } from '#core/units';
import { fadeOf } from './fade.js';
import { fractionsAt, type Layout } from './layout.js';

/** One strip of a fade made without a machine. */
export interface Strip {
  /** half discs of each colour of the blend */
  readonly halves: readonly number[];
  readonly lab: Lab;
  /** ΔE00 to the strip before; 0 for the first */
  readonly step: number;
}

const [FEWEST, MOST] = [3, 15];
/** Half discs in a strip at most: eight discs. */
const MOST_HALVES = 16;

/** The fewest half discs whose shares come closest to those wanted: largest remainders, each total in turn. */
function makeable(shares: readonly number[]): number[] {
  let best: { halves: number[]; off: number } | null = null;
  for (let total = 1; total <= MOST_HALVES; total++) {
    const halves = shares.map((s) => Math.floor(s * total + 1e-9));
    const order = shares.map((s, i) => ({ i, rest: s * total - (halves[i] ?? 0) })).sort((a, b) => b.rest - a.rest);
    for (let k = 0; halves.reduce((a, b) => a + b, 0) < total; k++) halves[order[k % order.length]?.i ?? 0]! += 1;
    const off = Math.max(...shares.map((s, i) => Math.abs(s - (halves[i] ?? 0) / total)));
    if (!best || off < best.off - 0.005) best = { halves, off };
  }
  return best?.halves ?? shares.map(() => 1);
}

/**
 * Strips of stepped parts laid side by side instead of a fade, for those
 * without a machine: equally far apart to the eye, then rounded to half
 * discs.
 * @param count strips, the pure ends among them @throws Complaint `ladder/count`
 */
export function stripsOf(layout: Layout, pigments: readonly Pigment[], count: number): Strip[] {
  if (!Number.isInteger(count) || count < FEWEST || count > MOST) throw complaint('ladder/count');
  const { labs, width } = fadeOf(layout, pigments);
  const gone = [0];
  for (let i = 1; i < labs.length; i++) gone.push((gone[i - 1] as number) + deltaE(labs[i - 1] as Lab, labs[i] as Lab));
  const way = gone.at(-1) ?? 0;
  const strips: Strip[] = [];
  for (let k = 0; k < count; k++) {
    const wanted = (way * k) / (count - 1);
    const after = Math.max(1, gone.findIndex((g) => g >= wanted - 1e-9));
    const [low, high] = [gone[after - 1] ?? 0, gone[after] ?? way];
    const place = way === 0 ? k / (count - 1) : (after - 1 + (high > low ? (wanted - low) / (high - low) : 0)) / (labs.length - 1);
    const ends = k === 0 ? fractionsAt(layout, 0) : k === count - 1 ? fractionsAt(layout, width) : fractionsAt(layout, place * width);
    const halves = makeable(ends);
    const lab = labOf(mixPigments(pigments, halves));
    const before = strips.at(-1);
    strips.push({ halves, lab, step: before ? deltaE(before.lab, lab) : 0 });
  }
  return strips;
}
