import type { Celsius, Minutes } from '#core/units';

/** The temperature of the room that an oven warms up from: an assumption. */
export const ROOM: Celsius = 21;

/**
 * How an oven warms: to a steady `offset + slope · dial`, as fast as its time constant says, and on its first heating
 * beyond that by a swing that fades.
 */
export interface Warming {
  readonly offset: Celsius;
  /** °C for each degree of the dial */
  readonly slope: number;
  /** minutes in which two thirds of the way are made */
  readonly tau: Minutes;
  /** °C beyond the steady value, at its highest */
  readonly swing: Celsius;
}

/** When the swing is highest, in time constants, and how narrow it is: assumptions. */
const [HIGHEST, NARROW] = [3.5, 6];

/** What share of the swing there is after so many time constants: 1 at its highest. */
function swingAt(passed: number): number {
  if (passed <= 0) return 0;
  const share = passed / HIGHEST;
  return Math.exp(NARROW * (Math.log(share) + 1 - share));
}

/** The temperature that a dial keeps once it is steady. */
export const steadyAt = ({ offset, slope }: Warming, dial: Celsius): Celsius => offset + slope * dial;

/** The true temperature so many minutes after it was switched on cold; null: it has been steady for long. */
export function trueAt(oven: Warming, dial: Celsius, minutes: Minutes | null): Celsius {
  const steady = steadyAt(oven, dial);
  if (minutes === null) return steady;
  const passed = minutes / oven.tau;
  return steady - (steady - ROOM) * Math.exp(-passed) + oven.swing * swingAt(passed);
}

/** Slopes of {@link trueAt} by offset, slope, time constant and swing. */
export function slopesAt(oven: Warming, dial: Celsius, minutes: Minutes | null): readonly number[] {
  if (minutes === null) return [1, dial, 0, 0];
  const passed = minutes / oven.tau;
  const warmed = 1 - Math.exp(-passed);
  const cold = steadyAt(oven, dial) - ROOM;
  const bySwing = swingAt(passed);
  // the swing by its own share: d ln = NARROW (1/x − 1/HIGHEST) dx, and dx = −x/tau dtau
  const share = passed <= 0 ? 0 : bySwing * NARROW * (1 / passed - 1 / HIGHEST);
  const byTau = (-passed / oven.tau) * (cold * Math.exp(-passed) + oven.swing * share);
  return [warmed, dial * warmed, byTau, bySwing];
}

/** Minutes between the places that are looked at. */
const STEP: Minutes = 0.25;
/** Nothing is hoped for after so long. */
const LONGEST: Minutes = 240;

/** Minutes from switching on until it is as warm as that; null where it never is. */
export function minutesTo(oven: Warming, dial: Celsius, wanted: Celsius): Minutes | null {
  for (let t = 0; t <= LONGEST; t += STEP) if (trueAt(oven, dial, t) >= wanted) return t;
  return null;
}

/** How warm it gets at its hottest after it was switched on, and when. */
export function hottest(oven: Warming, dial: Celsius): { readonly celsius: Celsius; readonly minutes: Minutes } {
  let best = { celsius: steadyAt(oven, dial), minutes: LONGEST };
  for (let t = 0; t <= LONGEST; t += STEP) {
    const celsius = trueAt(oven, dial, t);
    if (celsius > best.celsius) best = { celsius, minutes: t };
  }
  return best;
}
