import type { Mm } from '#core/units';
import { monotoneCubic } from './monotoneCubic.js';

/** What is known of a setting: its place on the dial, its thickness and standard uncertainty. */
export interface Known {
  readonly index: number;
  readonly mm: Mm;
  readonly sigma: Mm;
}
/** A thickness somewhere on a dial, with its standard uncertainty. */
export interface Estimate {
  readonly mm: Mm;
  readonly sigma: Mm;
}

type Curve = (index: number) => Mm;
const linesThrough =
  (xs: readonly number[], ys: readonly number[]): ((x: number) => number) =>
  (x) => {
    const right = Math.min(
      xs.length - 1,
      Math.max(
        1,
        xs.findIndex((k) => k >= x),
      ),
    );
    const place = xs[xs.length - 1] as number;
    const at = x > place ? xs.length - 1 : right;
    const [x0, x1] = [xs[at - 1] as number, xs[at] as number];
    const [y0, y1] = [ys[at - 1] as number, ys[at] as number];
    return y0 + ((y1 - y0) * (x - x0)) / (x1 - x0);
  };

/** Ways a dial may run between readings: evenly, in even ratios, or smoothly in either. */
const WAYS: readonly ((known: readonly Known[]) => Curve)[] = [
  (known) =>
    linesThrough(
      known.map((k) => k.index),
      known.map((k) => k.mm),
    ),
  (known) => {
    const log = linesThrough(
      known.map((k) => k.index),
      known.map((k) => Math.log(k.mm)),
    );
    return (i) => Math.exp(log(i));
  },
  (known) =>
    monotoneCubic(
      known.map((k) => k.index),
      known.map((k) => k.mm),
    ),
  (known) => {
    const log = monotoneCubic(
      known.map((k) => k.index),
      known.map((k) => Math.log(k.mm)),
    );
    return (i) => Math.exp(log(i));
  },
];

/**
 * How well each way foretells readings that are left out, one after the other: the mean square of the miss over
 * what is to be expected of the reading.
 */
function missOf(way: (typeof WAYS)[number], known: readonly Known[]): number {
  const inner = known.slice(1, -1);
  const misses = inner.map(
    (k) => ((way(known.filter((other) => other !== k))(k.index) - k.mm) / Math.hypot(k.sigma, BASE * k.mm)) ** 2,
  );
  return misses.reduce((a, b) => a + b, 0) / Math.max(1, misses.length);
}
/** Relative width of what two ways may differ by before one of them is preferred: an assumption. */
const BASE = 0.015;

/** Shares of the ways in what is believed of a dial. */
function sharesOf(known: readonly Known[]): number[] {
  const weights = WAYS.map((way, i) => (BEFORE[i] as number) / (1 + missOf(way, known)) ** SHARPNESS);
  const all = weights.reduce((a, b) => a + b, 0);
  return weights.map((w) => w / all);
}
const SHARPNESS = 3;
/** Dials that run evenly are the commonest by so much. An assumption. */
const BEFORE = [8, 1, 1, 1];

/**
 * Between two readings a dial may bend: so much of the fall between them, at the middle. Beyond them so much of a
 * step for each step. Assumptions, tuned on dials of many kinds.
 */
const [BEND, BEYOND] = [0.08, 0.35];
const LEAST_SPREAD = 0.01;

/**
 * What lies between and beyond readings of a dial: the mean of several ways
 * a dial may run, by how well each foretells the readings themselves, and how
 * far they and the readings leave it open.
 * @param known at least two, in the order of the dial, never rising
 */
export function dialCurve(known: readonly Known[]): (index: number) => Estimate {
  const curves = WAYS.map((way) => way(known));
  const shares = sharesOf(known);
  const [first, last] = [known[0] as Known, known.at(-1) as Known];
  return (index) => {
    const values = curves.map((curve) => Math.max(0.02, curve(index)));
    const mm = values.reduce((sum, v, i) => sum + v * (shares[i] as number), 0);
    const apart = Math.sqrt(values.reduce((sum, v, i) => sum + (v - mm) ** 2 * (shares[i] as number), 0));
    const right = Math.max(
      1,
      known.findIndex((k) => k.index >= index),
    );
    const [a, b] =
      index > last.index ? [known.at(-2) as Known, last] : [known[right - 1] as Known, known[right] as Known];
    const fall = Math.abs(a.mm - b.mm);
    const steps = b.index - a.index;
    const at = (index - a.index) / steps;
    const noise = Math.hypot((1 - at) * a.sigma, at * b.sigma);
    if (index > last.index || index < first.index) {
      const away = index > last.index ? index - last.index : first.index - index;
      return { mm, sigma: Math.hypot(noise, apart, BEYOND * (fall / steps) * away, LEAST_SPREAD * mm * away) };
    }
    return { mm, sigma: Math.hypot(noise, apart, BEND * fall * 4 * at * (1 - at), LEAST_SPREAD * mm) };
  };
}
