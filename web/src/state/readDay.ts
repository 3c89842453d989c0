import { isValid, parse } from 'date-fns';
import { UNITS_SENTENCES, complaints } from '#core/units';
import { showDate, today } from './today.js';

const complaint = complaints({
  ...UNITS_SENTENCES,
  'day/ahead': (d: { day: string }) => `${d.day} is still to come. Write the day on which it was done.`,
});

const FORMS = ['yyyy-MM-dd', 'd.M.yyyy', 'd M yyyy'];

/** Names of the months in English and as this person's system writes them, small letters. */
const MONTHS: readonly (readonly string[])[] = Array.from({ length: 12 }, (_, month) =>
  ['en', undefined].map((locale) =>
    new Intl.DateTimeFormat(locale, { month: 'long' }).format(new Date(2000, month, 15)).toLowerCase(),
  ),
);

/** `11 Dec. 2026` and `December 11, 2026` as `11 12 2026`; other texts as they are. */
function withoutNames(text: string): string {
  const found = /^(\d{1,2})?[.\s]*(\p{L}{3,})\.?\s*(?:(\d{1,2})(?:,\s*|\s+))?(\d{4})$/u.exec(text);
  const [, before, name = '', after, year = ''] = found ?? [];
  const month = MONTHS.findIndex((names) => names.some((n) => n.startsWith(name.toLowerCase())));
  return found && month >= 0 ? `${before ?? after ?? ''} ${month + 1} ${year}` : text;
}

/** A day as people write it, or null for none. @throws Complaint */
export function readDay(text: string): string | null {
  const trimmed = text.trim();
  if (trimmed === '') return null;
  for (const form of FORMS) {
    const day = parse(withoutNames(trimmed), form, new Date());
    if (isValid(day) && day.getFullYear() > 1999 && day.getFullYear() < 2100) {
      return [day.getFullYear(), day.getMonth() + 1, day.getDate()].map((n) => String(n).padStart(2, '0')).join('-');
    }
  }
  throw complaint('unit/unreadable', { text: trimmed, wanted: 'a day. Write 2026-12-11 or 11.12.2026' });
}

/** A day on which something was done; none is today. @throws Complaint, also for a day that is still to come */
export function readPastDay(text: string): string {
  const day = readDay(text) ?? today();
  if (day > today()) throw complaint('day/ahead', { day: showDate(day) });
  return day;
}
