import { deltaE, labOf, mixPigments, type Lab, type Pigment } from '#core/colour';

import { fadeOf } from './fade.js';
import { fractionsAt, type Layout } from './layout.js';
import { complaint } from './sentences.js';

/** One strip of a fade made without a machine. */
export interface Strip {
  /** quarter discs of each colour of the blend */
  readonly quarters: readonly number[];
  readonly lab: Lab;
  /** ΔE00 to the strip before; 0 for the first */
  readonly step: number;
}

const [FEWEST, MOST] = [3, 15];
/** Quarter discs in a strip at most: a pinch of a strong colour in sixteen discs. */
const MOST_QUARTERS = 64;
/** ΔE00 by which a simpler mix may miss what is wanted. */
const NEAR = 0.8;
/** ΔE00 from which two strips side by side are seen as different: an assumption. */
const TOLD = 1.5;

type Made = Pick<Strip, 'quarters' | 'lab'>;

/** Quarter discs that sum to a total and have shares near those wanted: largest remainders. */
function rounded(shares: readonly number[], total: number): number[] {
  const quarters = shares.map((s) => Math.floor(s * total + 1e-9));
  const order = shares.map((s, i) => ({ i, rest: s * total - (quarters[i] ?? 0) })).sort((a, b) => b.rest - a.rest);
  const missing = total - quarters.reduce((a, b) => a + b, 0);
  return quarters.map((q, i) => {
    const rank = order.findIndex((o) => o.i === i);
    return q + (rank < missing ? 1 : 0);
  });
}

/** The fewest quarter discs that come near the wanted colour; where none does, those that come nearest. */
function makeable(pigments: readonly Pigment[], shares: readonly number[]): Made {
  const wanted = labOf(mixPigments(pigments, shares));
  let best: { readonly quarters: readonly number[]; readonly lab: Lab; readonly off: number } | null = null;
  // whole discs before halves before quarters, so that a pure end is one disc
  for (let total = 4; total <= MOST_QUARTERS; total++) {
    const quarters = rounded(shares, total);
    const lab = labOf(mixPigments(pigments, quarters));
    const off = deltaE(lab, wanted);
    if (!best || off < best.off - 0.01) best = { quarters, lab, off };
    if (best.off <= NEAR) break;
  }
  return best ?? { quarters: shares.map(() => 1), lab: wanted };
}

/**
 * Strips of stepped parts laid side by side instead of a fade, for those
 * without a machine: equally far apart to the eye, then rounded to
 * quarter discs.
 * @param count strips, the pure ends among them; fewer where quarter discs cannot make so many that differ
 * @throws Complaint `ladder/count`
 */
export function stripsOf(layout: Layout, pigments: readonly Pigment[], count: number): Strip[] {
  if (!Number.isInteger(count) || count < FEWEST || count > MOST) throw complaint('ladder/count');
  const { labs, width } = fadeOf(layout, pigments);
  const gone = [0];
  for (let i = 1; i < labs.length; i++) gone.push((gone[i - 1] as number) + deltaE(labs[i - 1] as Lab, labs[i] as Lab));
  const way = gone.at(-1) ?? 0;
  const strips: Made[] = [];
  for (let k = 0; k < count; k++) {
    const wanted = (way * k) / (count - 1);
    const after = Math.max(
      1,
      gone.findIndex((g) => g >= wanted - 1e-9),
    );
    const [low, high] = [gone[after - 1] ?? 0, gone[after] ?? way];
    const place =
      way === 0 ? k / (count - 1) : (after - 1 + (high > low ? (wanted - low) / (high - low) : 0)) / (labs.length - 1);
    // the ends are the ends, whatever counting with fractions makes of them
    const at = new Map([
      [0, 0],
      [count - 1, width],
    ]).get(k);
    const { quarters, lab } = makeable(pigments, fractionsAt(layout, at ?? place * width));
    strips.push({ quarters, lab });
  }
  return toldApart(strips);
}

/** Strips that the eye tells from their neighbours; where quarter discs give the same again, fewer. The ends stay. */
function toldApart(strips: readonly Made[]): Strip[] {
  const [first, last] = [strips[0] as Made, strips.at(-1) as Made];
  const kept: Strip[] = [{ ...first, step: 0 }];
  for (const strip of strips.slice(1, -1)) {
    const step = deltaE((kept.at(-1) as Strip).lab, strip.lab);
    if (step >= TOLD && deltaE(strip.lab, last.lab) >= TOLD) kept.push({ ...strip, step });
  }
  return [...kept, { ...last, step: deltaE((kept.at(-1) as Strip).lab, last.lab) }];
}
