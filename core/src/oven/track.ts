import type { Celsius, Minutes } from '#core/units';
import { ROOM } from './model.js';
import type { OvenReading } from './fit.js';

/** What a probe said, so many minutes after the load went in. */
export interface CurvePoint {
  readonly at: Minutes;
  readonly celsius: Celsius;
}

/** How a load is to be baked: as long as it says between low and high, and never above the maximum. */
export interface BakeWish {
  readonly low: Celsius;
  readonly high: Celsius;
  readonly maxC: Celsius;
  readonly minutes: Minutes;
}

/** °C around what is wished within which a part bakes: an assumption. */
export const BAND: Celsius = 5;

/** The band of a load: from its lowest to as far above what is wished as all of it stands. */
export function wishOf(load: {
  readonly celsius: Celsius;
  readonly low: Celsius;
  readonly maxC: Celsius;
  readonly minutes: Minutes;
}): BakeWish {
  const { celsius, low, maxC, minutes } = load;
  return { low, high: Math.min(celsius + BAND, maxC), maxC, minutes };
}

/** How far a load has come. */
export interface BakeTold {
  /** within the band */
  readonly inBand: Minutes;
  /** nobody knows how warm it was */
  readonly unknown: Minutes;
  readonly hottest: Celsius | null;
  readonly now: Celsius | null;
  /** °C a minute, over the last two minutes */
  readonly rises: number;
  readonly where: 'not heard' | 'below' | 'within' | 'above';
  /** `over`: above the maximum; `soon`: it will be before the hand is at the door */
  readonly alarm: 'over' | 'soon' | null;
  readonly enough: boolean;
}

/** No oven is colder or hotter than that: what a probe says outside of it is a fault of its plug. */
export const [COLDEST, HOTTEST]: readonly [Celsius, Celsius] = [-30, 350];
/** Minutes without a word of the probe for which what lies between is still taken as straight. */
const HEARD: Minutes = 2;
/** Minutes that a hand takes to the door, and that a slope is taken over: assumptions. */
const [TO_THE_DOOR, SLOPE]: readonly [Minutes, Minutes] = [1.5, 2];
/** °C below the maximum at which it is time in any case. */
const CLOSE: Celsius = 2;

/** Whether a reading can be true. */
export const isTemperature = (celsius: number | null): celsius is Celsius =>
  celsius !== null && celsius >= COLDEST && celsius <= HOTTEST;

/** Minutes of a straight stretch between two readings that lie between two temperatures. */
function within(a: CurvePoint, b: CurvePoint, low: Celsius, high: Celsius): Minutes {
  const [cool, warm] = a.celsius < b.celsius ? [a.celsius, b.celsius] : [b.celsius, a.celsius];
  const minutes = b.at - a.at;
  if (warm === cool) return cool >= low && cool <= high ? minutes : 0;
  return (minutes * Math.max(0, Math.min(high, warm) - Math.max(low, cool))) / (warm - cool);
}

/** °C a minute over the last minutes, by the two ends. */
function slopeAt(curve: readonly CurvePoint[]): number {
  const last = curve.at(-1);
  const first = last && curve.find((p) => p.at >= last.at - SLOPE);
  if (!last || !first || last.at - first.at < SLOPE / 4) return 0;
  return (last.celsius - first.celsius) / (last.at - first.at);
}

function alarmAt(now: Celsius, rises: number, maxC: Celsius): BakeTold['alarm'] {
  if (now > maxC) return 'over';
  const soon = now >= maxC - CLOSE || now + rises * TO_THE_DOOR > maxC;
  return soon && rises > 0 ? 'soon' : null;
}

/**
 * How far a load is: minutes count only while it is within the band, by straight lines between readings (what lies
 * further apart than two minutes nobody knows, and it is not counted).
 * @param curve by time; readings that cannot be true are left out before
 */
export function trackBake(curve: readonly CurvePoint[], { low, high, maxC, minutes }: BakeWish): BakeTold {
  let [inBand, unknown] = [0, 0];
  for (let i = 1; i < curve.length; i++) {
    const [a, b] = [curve[i - 1] as CurvePoint, curve[i] as CurvePoint];
    if (b.at - a.at > HEARD) unknown += b.at - a.at;
    else inBand += within(a, b, low, high);
  }
  const now = curve.at(-1)?.celsius ?? null;
  const rises = slopeAt(curve);
  const told = { inBand, unknown, now, rises, enough: inBand >= minutes };
  if (now === null) return { ...told, hottest: null, where: 'not heard', alarm: null };
  const hottest = Math.max(...curve.map((p) => p.celsius));
  return { ...told, hottest, where: whereIs(now, low, high), alarm: alarmAt(now, rises, maxC) };
}

function whereIs(now: Celsius, low: Celsius, high: Celsius): BakeTold['where'] {
  if (now < low) return 'below';
  return now > high ? 'above' : 'within';
}

/** What is left out between two points that are kept: neither time nor temperature has moved far. */
const [KEPT_APART, KEPT_OFF] = [0.5, 3] as const;

/** A curve with one more reading; points that tell nothing new between two others are let go. */
export function withPoint(curve: readonly CurvePoint[], point: CurvePoint): readonly CurvePoint[] {
  const [before, last] = [curve.at(-2), curve.at(-1)];
  if (last && point.at <= last.at) return curve;
  const near =
    before && last && point.at - before.at < KEPT_APART && Math.abs(last.celsius - before.celsius) < KEPT_OFF;
  return near ? [...curve.slice(0, -1), point] : [...curve, point];
}

/** How cold an oven is that was switched on just now, and how long it has to be quiet to be steady: assumptions. */
const [COLD, STEADY, QUIET]: readonly [Celsius, Minutes, Celsius] = [ROOM + 15, 12, 6];
/** Minutes after which an oven that warms is read. */
const EARLY: readonly Minutes[] = [5, 10, 18];

function at(curve: readonly CurvePoint[], minutes: Minutes): Celsius | null {
  const i = curve.findIndex((p) => p.at >= minutes);
  const [a, b] = [curve[i - 1], curve[i]];
  if (!a || !b || b.at - a.at > HEARD) return null;
  return a.celsius + ((b.celsius - a.celsius) * (minutes - a.at)) / (b.at - a.at);
}

/**
 * What a curve tells of the oven, as readings of it: early ones where it was switched on cold, and the mean of its last
 * minutes where it was steady by then.
 */
export function readingsOf(curve: readonly CurvePoint[], dial: Celsius): OvenReading[] {
  const [first, last] = [curve[0], curve.at(-1)];
  if (!first || !last) return [];
  const early = first.celsius > COLD ? [] : EARLY;
  const warming = early.flatMap((minutes): OvenReading[] => {
    const celsius = at(curve, first.at + minutes);
    return celsius === null ? [] : [{ dial, celsius, minutes }];
  });
  const end = curve.filter((p) => p.at >= last.at - STEADY);
  const spread = Math.max(...end.map((p) => p.celsius)) - Math.min(...end.map((p) => p.celsius));
  const steady = last.at - first.at >= 2 * STEADY && spread <= 2 * QUIET;
  const mean = end.reduce((sum, p) => sum + p.celsius, 0) / end.length;
  return steady ? [...warming, { dial, celsius: mean, minutes: null }] : warming;
}
