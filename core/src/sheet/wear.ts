import type { Machine, Reading } from './machine.js';

/** How a machine's gaps change: relative a year, with its standard uncertainty. */
export interface Wear {
  readonly perYear: number;
  readonly sigma: number;
  /** ISO dates of the first and the last reading that tell */
  readonly from: string;
  readonly to: string;
  /** more than twice its uncertainty, so that it is no chance */
  readonly sure: boolean;
}

const DAYS_A_YEAR = 365.25;
/** Readings of one setting have to lie this many days apart to tell of wear. */
const SHORTEST_DAYS = 60;

export const daysOf = (iso: string): number => Date.parse(`${iso}T12:00:00Z`) / 86_400_000;

interface Dated extends Reading {
  readonly takenOn: string;
}
const isDated = (reading: Reading): reading is Dated => typeof reading.takenOn === 'string';

/**
 * The common drift of all settings that were read at different times: least
 * squares of log thickness against the date, each setting with a level of
 * its own (one slope for all, as rollers wear together).
 * @returns null where no setting was read twice, {@link SHORTEST_DAYS} days apart
 */
export function wearOf(machine: Pick<Machine, 'readings'>): Wear | null {
  const groups = new Map<string, Dated[]>();
  for (const reading of machine.readings.filter(isDated))
    groups.set(reading.settingId, [...(groups.get(reading.settingId) ?? []), reading]);
  let [xx, xy, from, to] = [0, 0, '9999', ''];
  for (const readings of groups.values()) {
    const days = readings.map((r) => daysOf(r.takenOn));
    if (Math.max(...days) - Math.min(...days) < SHORTEST_DAYS) continue;
    const weights = readings.map((r) => (r.mm / r.sigmaMm) ** 2);
    const whole = weights.reduce((a, b) => a + b, 0);
    const mean = (values: readonly number[]): number =>
      values.reduce((sum, v, i) => sum + v * (weights[i] ?? 0), 0) / whole;
    const [day, log] = [mean(days), mean(readings.map((r) => Math.log(r.mm)))];
    readings.forEach((r, i) => {
      const dx = ((days[i] ?? 0) - day) / DAYS_A_YEAR;
      xx += (weights[i] ?? 0) * dx * dx;
      xy += (weights[i] ?? 0) * dx * (Math.log(r.mm) - log);
      if (r.takenOn < from) from = r.takenOn;
      if (r.takenOn > to) to = r.takenOn;
    });
  }
  if (xx === 0) return null;
  const [perYear, sigma] = [xy / xx, Math.sqrt(1 / xx)];
  return { perYear, sigma, from, to, sure: Math.abs(perYear) > 2 * sigma };
}

/** The readings as they would be on the day of the newest one, where the machine surely wears. */
export function withoutWear(machine: Machine): readonly Reading[] {
  const wear = wearOf(machine);
  if (!wear?.sure) return machine.readings;
  const now = Math.max(...machine.readings.filter(isDated).map((r) => daysOf(r.takenOn)));
  return machine.readings.map((r) =>
    isDated(r) ? { ...r, mm: r.mm * Math.exp((wear.perYear * (now - daysOf(r.takenOn))) / DAYS_A_YEAR) } : r,
  );
}
