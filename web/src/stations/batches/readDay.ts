import { isValid, parse } from 'date-fns';
import { complaint } from '#core/units';

const FORMS = ['yyyy-MM-dd', 'd.M.yyyy', 'd MMMM yyyy', 'MMMM d, yyyy', 'd MMM yyyy'];

/** A day as people write it, or null for none. @throws Complaint */
export function readDay(text: string): string | null {
  const trimmed = text.trim();
  if (trimmed === '') return null;
  for (const form of FORMS) {
    const day = parse(trimmed, form, new Date());
    if (isValid(day) && day.getFullYear() > 1999 && day.getFullYear() < 2100) {
      return [day.getFullYear(), day.getMonth() + 1, day.getDate()].map((n) => String(n).padStart(2, '0')).join('-');
    }
  }
  throw complaint('unit/unreadable', { text: trimmed, wanted: 'a day. Write 2026-12-11 or 11.12.2026' });
}
