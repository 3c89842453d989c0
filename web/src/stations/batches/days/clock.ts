import { addDays, format, getISODay, parseISO, startOfDay } from 'date-fns';
import type { CalendarDay, Instant } from '#core/days';
import { complaint } from './sentences.js';

/** Milliseconds in a minute: moments of a plan are minutes since 1970. */
const MINUTE = 60_000;

export const instantOf = (date: Date): Instant => date.getTime() / MINUTE;
export const dateOf = (at: Instant): Date => new Date(at * MINUTE);

/** The moment of a minute of a day, by the clock of this place: an hour more or less in the night does not move it. */
export function momentOn(on: string, minute: number): Instant {
  const day = parseISO(on);
  return instantOf(new Date(day.getFullYear(), day.getMonth(), day.getDate(), 0, minute));
}

/** So many days from a moment on. */
export const daysFrom = (now: Instant, count: number): CalendarDay[] =>
  Array.from({ length: count }, (_, i) => {
    const day = addDays(startOfDay(dateOf(now)), i);
    return { on: format(day, 'yyyy-MM-dd'), weekday: getISODay(day) - 1 };
  });

/** Minutes since midnight, by the clock. */
export const minuteOf = (at: Instant): number => {
  const date = dateOf(at);
  return date.getHours() * 60 + date.getMinutes() + date.getSeconds() / 60;
};
export const isoOf = (at: Instant): string => format(dateOf(at), 'yyyy-MM-dd');

/** `18:30` of minutes since midnight; `24:00` is the end of a day. */
export function clockWords(minutes: number): string {
  const whole = Math.round(minutes);
  return `${String(Math.floor(whole / 60)).padStart(2, '0')}:${String(whole % 60).padStart(2, '0')}`;
}

/** `18:30 to 22, 9 to 12` of free hours; nothing: not free. */
export const hoursWords = (hours: readonly { readonly from: number; readonly to: number }[]): string =>
  hours.length === 0 ? 'not' : hours.map(({ from, to }) => `${clockWords(from)} to ${clockWords(to)}`).join(', ');

const TIME = /^(\d{1,2})(?:[:.](\d{2}))?\s*(am|pm)?$/i;

function minutesIn(text: string): number {
  const [, hours, minutes, half] = TIME.exec(text.trim()) ?? [];
  const afternoon = half?.toLowerCase() === 'pm' && Number(hours) < 12 ? 12 : 0;
  const total = (Number(hours) + afternoon) * 60 + Number(minutes ?? 0);
  if (hours === undefined || !(total <= 24 * 60) || Number(minutes ?? 0) > 59)
    throw complaint('hours/unreadable', { text });
  return total;
}

/**
 * Reads free hours as `18:30 to 22`, `9-12, 14-17`, `6 pm to 9:30 pm`, `not`.
 * @throws Complaint `hours/unreadable`, `hours/backwards`
 */
export function readHours(text: string): { from: number; to: number }[] {
  const typed = text.trim().toLowerCase();
  if (/^(not|none|no|never|-|)$/.test(typed)) return [];
  return typed.split(/,| and /).map((stretch) => {
    const [from, to, more] = stretch.split(/\s*(?:to|until|till|-|–|—)\s*/);
    if (from === undefined || to === undefined || more !== undefined) throw complaint('hours/unreadable', { text });
    const [begin, end] = [minutesIn(from), minutesIn(to)];
    if (end <= begin) throw complaint('hours/backwards', { from: clockWords(begin), to: clockWords(end) });
    return { from: begin, to: end };
  });
}

/** `Sun 6 December` */
export const dayWords = (at: Instant): string => format(dateOf(at), 'EEE d');
export const longDayWords = (at: Instant): string => format(dateOf(at), 'EEEE, d MMMM');
export const momentWords = (at: Instant): string => format(dateOf(at), 'EEEE, d MMMM, HH:mm');
