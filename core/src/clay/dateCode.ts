import { complaint } from './sentences.js';

const MONTHS = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
];

const iso = (date: Date): string => date.toISOString().slice(0, 10);
const utc = (year: number, month: number, day: number): Date => new Date(Date.UTC(year, month - 1, day));

/** The Monday of an ISO 8601 week. */
function mondayOf(year: number, week: number): Date {
  const fourth = utc(year, 1, 4);
  const monday = new Date(fourth);
  monday.setUTCDate(fourth.getUTCDate() - ((fourth.getUTCDay() + 6) % 7) + (week - 1) * 7);
  return monday;
}

function realDate(year: number, month: number, day: number): string | null {
  const date = utc(year, month, day);
  return date.getUTCMonth() === month - 1 && date.getUTCDate() === day ? iso(date) : null;
}

type Reader = readonly [RegExp, (...n: number[]) => string | null];
const century = (year: number): number => (year < 100 ? 2000 + year : year);
const month = (y: number, m: number): string | null => realDate(century(y), m, 1);
const week = (y: number, w: number): string | null => (w >= 1 && w <= 53 ? iso(mondayOf(century(y), w)) : null);
const dayOfYear = (y: number, d: number): string | null => (d >= 1 && d <= 366 ? iso(utc(century(y), 1, d)) : null);

/** The ways a date code is stamped on a block, tried in this order. */
const READERS: readonly Reader[] = [
  [/^(\d{4})-(\d{1,2})-(\d{1,2})$/, (y = 0, m = 0, d = 0) => realDate(y, m, d)],
  [/^(\d{1,2})\.(\d{1,2})\.(\d{4})$/, (d = 0, m = 0, y = 0) => realDate(y, m, d)],
  [/^(\d{4})[-/](\d{1,2})$/, (y = 0, m = 0) => month(y, m)],
  [/^(\d{1,2})[/.](\d{4})$/, (m = 0, y = 0) => month(y, m)],
  [/^(\d{2}|\d{4})-?W(\d{1,2})$/i, (y = 0, w = 0) => week(y, w)],
  [/^(\d{2}|\d{4})-(\d{3})$/, (y = 0, d = 0) => dayOfYear(y, d)],
  [/^(\d{2})(\d{2})(\d{2})$/, (y = 0, m = 0, d = 0) => realDate(century(y), m, d)],
  [/^(\d{4})(\d{2})(\d{2})$/, (y = 0, m = 0, d = 0) => realDate(y, m, d)],
];

/** The day that a code says; null where it is none. @throws Complaint `date/ambiguous` */
function dayOf(code: string): string | null {
  for (const [pattern, read] of READERS) {
    const found = pattern.exec(code);
    const date = found ? read(...found.slice(1).map(Number)) : null;
    if (date !== null) return date;
  }
  const four = /^(\d{2})(\d{2})$/.exec(code);
  if (four) {
    const [y, n] = [Number(four[1]), Number(four[2])];
    const asMonth = month(y, n);
    const asWeek = week(y, n);
    if (asMonth !== null && asWeek !== null) {
      throw complaint('date/ambiguous', {
        text: code,
        month: `${MONTHS[n - 1] ?? ''} ${2000 + y}`,
        week: `week ${n} of ${2000 + y}`,
      });
    }
    return asWeek;
  }
  return null;
}

/**
 * Reads the date code of a block: the day it was made, as an ISO date (the
 * first of a month, the Monday of a week, where no day is given).
 * @param today an ISO date
 * @throws Complaint `date/unreadable`; `date/ambiguous` for four bare digits that could be month or week;
 *   `date/ahead` for a day after today: some wrappers say until when the clay keeps
 */
export function readDateCode(text: string, today: string): string {
  const trimmed = text.trim();
  const day = dayOf(trimmed.replace(/\s*([-/.])\s*/g, '$1'));
  if (day === null) throw complaint('date/unreadable', { text: trimmed });
  if (day > today) throw complaint('date/ahead', { text: trimmed, month: showMonth(day) });
  return day;
}

/** `September 2021`, from an ISO date. */
export function showMonth(isoDate: string): string {
  return `${MONTHS[Number(isoDate.slice(5, 7)) - 1] ?? ''} ${isoDate.slice(0, 4)}`;
}

/** Whole months from an ISO date to another; never negative. */
export function ageInMonths(madeOn: string, today: string): number {
  const part = (text: string, from: number, to: number): number => Number(text.slice(from, to));
  const months =
    (part(today, 0, 4) - part(madeOn, 0, 4)) * 12 +
    part(today, 5, 7) -
    part(madeOn, 5, 7) -
    (part(today, 8, 10) < part(madeOn, 8, 10) ? 1 : 0);
  return Math.max(0, months);
}

/** `5 years 2 months`, `19 months`, `new`: in months up to two years. */
export function showAge(months: number): string {
  const years = Math.floor(months / 12);
  const rest = months % 12;
  const word = (n: number, unit: string): string => `${n} ${unit}${n === 1 ? '' : 's'}`;
  if (months < 1) return 'new';
  if (years < 2) return word(months, 'month');
  return rest === 0 || years >= 10 ? word(years, 'year') : `${word(years, 'year')} ${word(rest, 'month')}`;
}
