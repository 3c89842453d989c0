import { BAND, dialFor, fitOven, hottest, minutesTo, steadyAt, type FittedOven } from '#core/oven';
import { showMinutes, type UnitSystem } from '#core/units';
import type { BenchSetupDto, OvenDto, OvenReadingDto } from '#contract';

/** A tray as most home ovens have it, mm. */
const TRAY = { trayWidthMm: 300, trayLengthMm: 220 };

export const newOven = (name: string): OvenDto => ({
  id: crypto.randomUUID(),
  version: 0,
  name,
  ...TRAY,
  readings: [],
});

/** The oven that batches are baked in: the one that was chosen, or the first. */
export const ownOven = (
  all: readonly OvenDto[],
  setup: Pick<BenchSetupDto, 'ovenId'> | undefined,
): OvenDto | undefined => all.find(({ id }) => id === setup?.ovenId) ?? all[0];

/** An oven with one more reading, the newest last. */
export const withReading = (oven: OvenDto, reading: Omit<OvenReadingDto, 'id'>): OvenDto => ({
  ...oven,
  readings: [...oven.readings, { ...reading, id: crypto.randomUUID() }],
});

/** A difference of temperatures, to whole degrees. */
export function degreesApart(celsius: number, units: UnitSystem): string {
  const apart = Math.abs(units === 'metric' ? celsius : celsius * 1.8);
  return `${Math.round(apart)} °${units === 'metric' ? 'C' : 'F'}`;
}

/** Apart by less than this is as set. */
const AS_SET = 1;

/** Whether it runs hot or low, in words. */
export function runsWords(oven: FittedOven, dial: number, units: UnitSystem): string {
  const off = steadyAt(oven, dial) - dial;
  if (Math.abs(off) < AS_SET) return 'it runs as it is set';
  return `it runs ${degreesApart(off, units)} ${off > 0 ? 'hot' : 'low'}`;
}

/** On how many readings it rests, and how sure it is. */
export function sureWords(oven: FittedOven, off: number, units: UnitSystem): string {
  if (oven.readings === 0) return `nobody has read it yet, so it may be off by ${degreesApart(off, units)} and more`;
  return `${oven.readings} ${oven.readings === 1 ? 'reading' : 'readings'}, ± ${degreesApart(off, units)}`;
}

/** What to set for a true temperature. */
export interface ToSet {
  readonly oven: FittedOven;
  readonly dial: number;
  readonly off: number;
}
export function toSet({ readings }: Pick<OvenDto, 'readings'>, celsius: number): ToSet {
  const oven = fitOven(readings);
  const { dial, off } = dialFor(oven, celsius);
  return { oven, dial: Math.round(dial), off };
}

/** When it is warm enough, and how far it goes beyond at first. */
export function warmingWords({ oven, dial }: ToSet, celsius: number, units: UnitSystem): string {
  const there = minutesTo(oven, dial, celsius - BAND);
  const top = hottest(oven, dial);
  const beyond = top.celsius - celsius;
  const warm = there === null ? 'It never gets so warm' : `It is warm enough after ${showMinutes(Math.round(there))}`;
  if (beyond < AS_SET) return `${warm}, and does not go beyond.`;
  const at = showMinutes(Math.round(top.minutes));
  return `${warm}, and at first it goes ${degreesApart(beyond, units)} beyond, after ${at}.`;
}
