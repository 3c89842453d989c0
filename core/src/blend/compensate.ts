import { deltaE, labOf, mixPigments, type Lab, type Pigment } from '#core/colour';
import type { Mm } from '#core/units';
import { fadeOf, unevenness } from './fade.js';
import type { Cut, CutPoint, Layout } from './layout.js';

/** Straight pieces of a compensated cut: more are not worth a knife's while. */
const PIECES = 4;
const SAMPLES = 240;

/** Shares of the second colour, closer together towards both ends, where a pinch changes most. */
const SHARES = Array.from({ length: SAMPLES + 1 }, (_, i) => (1 - Math.cos((Math.PI * i) / SAMPLES)) / 2);

/** Height against place of the cut that would make the fade of two colours perfectly even, both 0 to 1. */
function evenCurve(one: Pigment, other: Pigment): { readonly place: number[]; readonly share: readonly number[] } {
  const labs = SHARES.map((t) => labOf(mixPigments([one, other], [1 - t, t])));
  const place = [0];
  for (let i = 1; i < labs.length; i++)
    place.push((place[i - 1] as number) + deltaE(labs[i - 1] as Lab, labs[i] as Lab));
  const way = place.at(-1) ?? 0;
  return { place: way > 0 ? place.map((p) => p / way) : [...SHARES], share: SHARES };
}

/**
 * The few straight pieces that lie closest to a rising curve: of all choices
 * of its points the one with the least squared distance (dynamic
 * programming; R. Bellman, 1961).
 */
function straightPieces(x: readonly number[], y: readonly number[], pieces: number): number[] {
  const every = 6;
  const at = x.map((_, i) => i).filter((i) => i % every === 0 || i === x.length - 1);
  const n = at.length;
  const cost = (a: number, b: number): number => {
    const [i, j] = [at[a] as number, at[b] as number];
    const run = (x[j] as number) - (x[i] as number);
    let sum = 0;
    for (let k = i + 1; k < j; k++) {
      const line =
        run === 0
          ? (y[i] as number)
          : (y[i] as number) + (((y[j] as number) - (y[i] as number)) * ((x[k] as number) - (x[i] as number))) / run;
      sum += (line - (y[k] as number)) ** 2 * ((x[k + 1] ?? (x[k] as number)) - (x[k - 1] as number));
    }
    return sum;
  };
  let best = Array.from({ length: n }, (_, b) => ({ cost: b === 0 ? 0 : cost(0, b), path: [0, b] }));
  for (let p = 1; p < pieces; p++) {
    best = best.map((own, b) => {
      let least = own;
      for (let a = 1; a < b; a++) {
        const before = best[a];
        const sum = (before?.cost ?? Infinity) + cost(a, b);
        if (before && sum < least.cost) least = { cost: sum, path: [...before.path, b] };
      }
      return least;
    });
  }
  return (best[n - 1]?.path ?? [0, n - 1]).map((k) => at[k] as number);
}

/** A cut between two neighbours of the fade, from x to x, that makes it even. */
function evenCut(one: Pigment, other: Pigment, from: Mm, to: Mm, height: Mm): Cut {
  const { place, share } = evenCurve(one, other);
  return straightPieces(place, share, PIECES).map((i): CutPoint => ({
    x: from + (to - from) * (place[i] as number),
    y: height * (share[i] as number),
  }));
}

/** A cut that makes the fade more even, and the share of the unevenness that it takes away. */
export interface Compensated {
  readonly layout: Layout;
  readonly gain: number;
}

/**
 * The compensated cut: a strong colour gets less of each column, so that
 * equal distances look equally far apart. Each cut is at most four straight
 * pieces. Stretches between colours are as wide as their way in ΔE00 is long.
 * @param pure width of the pure ends
 */
export function compensate(layout: Layout, pigments: readonly Pigment[], pure: Mm): Compensated {
  const { width, height } = layout;
  const labs = pigments.map((p) => labOf(mixPigments([p], [1])));
  const ways = pigments.slice(1).map((p, i) => {
    const curve = SHARES.map((t) => labOf(mixPigments([pigments[i] as Pigment, p], [1 - t, t])));
    return Math.max(
      1e-6,
      curve.slice(1).reduce((sum, lab, k) => sum + deltaE(curve[k] as Lab, lab), 0),
    );
  });
  const whole = ways.reduce((a, b) => a + b, 0);
  const room = width - 2 * pure;
  let from = pure;
  const cuts = ways.map((way, i) => {
    const to = from + (room * way) / whole;
    const cut = evenCut(pigments[i] as Pigment, pigments[i + 1] as Pigment, from, to, height);
    from = to;
    return cut;
  });
  const made: Layout = { width, height, cuts };
  const before = unevenness(fadeOf(layout, pigments));
  return labs.length < 2 || before === 0
    ? { layout, gain: 0 }
    : { layout: made, gain: 1 - unevenness(fadeOf(made, pigments)) / before };
}
