import type { MonthOfKind } from '#contract/diary';
import type { MadeKind } from '#contract/limits';

/** A month as it is drawn. */
export type Month = Omit<MonthOfKind, 'kind'>;

const nextMonth = (month: string): string => {
  const [year = 0, number = 0] = month.split('-').map(Number);
  return number === 12 ? `${year + 1}-01` : `${year}-${String(number + 1).padStart(2, '0')}`;
};

/** Every month from the first to the last, also those with nothing. */
function allMonths(from: string, to: string): readonly string[] {
  const months: string[] = [];
  for (let month = from; month <= to && months.length < MOST_MONTHS; month = nextMonth(month)) months.push(month);
  return months;
}
/** A diary from a wrong year on is no reason for thousands of bars. */
const MOST_MONTHS = 600;

const add = (a: Month, b: Month): Month => ({
  month: a.month,
  entries: a.entries + b.entries,
  minutes: a.minutes + b.minutes,
  grams: a.grams + b.grams,
  pieces: a.pieces + b.pieces,
  broken: a.broken + b.broken,
});

/**
 * Months one after the other, without a gap, the oldest first.
 * @param kind only what is of it; null: everything
 */
export function monthsOf(all: readonly MonthOfKind[], kind: MadeKind | null): readonly Month[] {
  const [first] = all;
  const last = all.at(-1);
  if (!first || !last) return [];
  const sums = new Map<string, Month>();
  for (const { kind: of, ...month } of all) {
    if (kind !== null && of !== kind) continue;
    const before = sums.get(month.month);
    sums.set(month.month, before ? add(before, month) : month);
  }
  const none = (month: string): Month => ({ month, entries: 0, minutes: 0, grams: 0, pieces: 0, broken: 0 });
  return allMonths(first.month, last.month).map((month) => sums.get(month) ?? none(month));
}

/** Kinds that a diary has, in the order of the work. */
export const kindsOf = (all: readonly MonthOfKind[], order: readonly MadeKind[]): readonly MadeKind[] =>
  order.filter((kind) => all.some((month) => month.kind === kind));
