import type { Minutes } from '#core/units';
import type { Instant, Window } from './job.js';

/** From one minute of the day to another; minutes since midnight. */
export interface DayHours {
  readonly from: Minutes;
  readonly to: Minutes;
}

/** When somebody is free: by weekday, Monday first, and otherwise on single days. */
export interface FreeRule {
  /** seven lists */
  readonly weekdays: readonly (readonly DayHours[])[];
  readonly exceptions: readonly { readonly on: string; readonly hours: readonly DayHours[] }[];
}

/** A day of the calendar. */
export interface CalendarDay {
  /** ISO date */
  readonly on: string;
  /** 0 for Monday */
  readonly weekday: number;
}

/**
 * Free stretches over some days. Where the clock is put on or back in the night, the moments are those of the clock.
 * @param at the moment of a minute of a day, by the clock of the place
 */
export function freeWindows(
  { weekdays, exceptions }: FreeRule,
  days: readonly CalendarDay[],
  at: (on: string, minute: Minutes) => Instant,
): readonly Window[] {
  const other = new Map(exceptions.map((e) => [e.on, e.hours]));
  const all = days.flatMap(({ on, weekday }) =>
    (other.get(on) ?? weekdays[weekday] ?? []).map(({ from, to }) => ({ from: at(on, from), to: at(on, to) })),
  );
  const ordered = all.filter((w) => w.to > w.from).sort((a, b) => a.from - b.from);
  // stretches that touch or overlap are one
  return ordered.reduce<Window[]>((joined, w) => {
    const last = joined.at(-1);
    if (!last || w.from > last.to) return [...joined, w];
    return [...joined.slice(0, -1), { from: last.from, to: Math.max(last.to, w.to) }];
  }, []);
}
