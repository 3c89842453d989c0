import { choleskyInPlace, choleskyInverse, choleskySolve } from '#core/linear';
import type { Celsius, Minutes } from '#core/units';
import { slopesAt, steadyAt, trueAt, type Warming } from './model.js';

/** What somebody read: the dial, a separate thermometer, and the minutes since it was switched on cold. */
export interface OvenReading {
  readonly dial: Celsius;
  readonly celsius: Celsius;
  /** null: it had been steady for long */
  readonly minutes: Minutes | null;
}

/** What is held of an oven before anybody read it, and how far it may be off: assumptions. */
const BEFORE: Warming = { offset: 0, slope: 1, tau: 8, swing: 5 };
const OFF: readonly number[] = [15, 0.1, 4, 6];
/** °C that a reading is off, by the thermometer and by where it hangs: an assumption. */
const READ = 2;
const SIZE = 4;
const ROUNDS = 30;
/** Ovens with a time constant outside of this are none. */
const [QUICKEST, SLOWEST] = [1.5, 40];

/** An oven as its readings tell, and how sure that is. */
export interface FittedOven extends Warming {
  readonly readings: number;
  /** variances and covariances of offset, slope, time constant and swing, row by row */
  readonly spread: Float64Array;
}

const listed = ({ offset, slope, tau, swing }: Warming): number[] => [offset, slope, tau, swing];
const named = ([offset = 0, slope = 1, tau = BEFORE.tau, swing = 0]: readonly number[]): Warming => ({
  offset,
  slope: Math.min(2, Math.max(0.5, slope)),
  tau: Math.min(SLOWEST, Math.max(QUICKEST, tau)),
  swing: Math.max(0, swing),
});

/** Sums of the squares around a guess, and their slope: what was assumed counts as one reading of each. */
function around(readings: readonly OvenReading[], now: readonly number[]): { a: Float64Array; g: Float64Array } {
  const oven = named(now);
  const [a, g] = [new Float64Array(SIZE * SIZE), new Float64Array(SIZE)];
  const before = listed(BEFORE);
  for (let i = 0; i < SIZE; i++) {
    const weight = 1 / (OFF[i] as number) ** 2;
    a[i * SIZE + i] = weight;
    g[i] = weight * ((before[i] as number) - (now[i] as number));
  }
  for (const { dial, celsius, minutes } of readings) {
    const slopes = slopesAt(oven, dial, minutes);
    const off = (celsius - trueAt(oven, dial, minutes)) / READ ** 2;
    for (let i = 0; i < SIZE; i++) {
      g[i] = (g[i] as number) + off * (slopes[i] as number);
      for (let k = 0; k < SIZE; k++)
        a[i * SIZE + k] = (a[i * SIZE + k] as number) + ((slopes[i] as number) * (slopes[k] as number)) / READ ** 2;
    }
  }
  return { a, g };
}

/**
 * An oven by weighted least squares with what is assumed of any oven (C. F. Gauss's steps). Without readings it is
 * what is assumed.
 */
export function fitOven(readings: readonly OvenReading[]): FittedOven {
  let now = listed(BEFORE);
  for (let round = 0; round < ROUNDS; round++) {
    const { a, g } = around(readings, now);
    if (!choleskyInPlace(a, SIZE)) break;
    choleskySolve(a, SIZE, g);
    const next = listed(named(now.map((value, i) => value + (g[i] as number))));
    const moved = next.some((value, i) => Math.abs(value - (now[i] as number)) > 1e-9);
    now = next;
    if (!moved) break;
  }
  const { a } = around(readings, now);
  const spread = choleskyInPlace(a, SIZE) ? choleskyInverse(a, SIZE) : new Float64Array(SIZE * SIZE);
  return { ...named(now), readings: readings.length, spread };
}

/** What to set for a true temperature, and how far that may be off, °C of the true one (two thirds of the time). */
export function dialFor(oven: FittedOven, wanted: Celsius): { readonly dial: Celsius; readonly off: Celsius } {
  const dial = (wanted - oven.offset) / oven.slope;
  const [oo = 0, os = 0] = [oven.spread[0], oven.spread[1]];
  const ss = oven.spread[SIZE + 1] ?? 0;
  return { dial, off: Math.sqrt(Math.max(0, oo + 2 * dial * os + dial * dial * ss)) };
}

/** How far the dial is from the truth there: more than 0 where it runs hot. */
export const runsOff = (oven: Warming, dial: Celsius): Celsius => steadyAt(oven, dial) - dial;
