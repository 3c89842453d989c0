import fc from 'fast-check';
import type { MonthOfKind } from '#contract/diary';
import { MADE_KINDS } from '#contract/limits';
import { kindsOf, monthsOf } from '../src/stations/diary/months/months.js';

const row = (month: string, kind: MonthOfKind['kind'], more: Partial<MonthOfKind> = {}): MonthOfKind => ({
  ...{ month, kind, entries: 1, minutes: 0, grams: 0, pieces: 0, broken: 0 },
  ...more,
});
const monthText = fc
  .tuple(fc.integer({ min: 2019, max: 2027 }), fc.integer({ min: 1, max: 12 }))
  .map(([year, month]) => `${year}-${String(month).padStart(2, '0')}`);
const rows = fc
  .array(fc.record({ month: monthText, kind: fc.constantFrom(...MADE_KINDS), grams: fc.nat(500), pieces: fc.nat(40) }))
  .map((all) => all.map(({ month, kind, ...more }) => row(month, kind, more)))
  .map((all) => all.sort((a, b) => a.month.localeCompare(b.month)));

describe('months one after the other', () => {
  test('no gap, nothing twice, and the sums are those of the rows', () => {
    fc.assert(
      fc.property(rows, (all) => {
        const months = monthsOf(all, null);
        const places = months.map(({ month }) => Number(month.slice(0, 4)) * 12 + Number(month.slice(5)));
        places.slice(1).forEach((place, i) => {
          expect(place - (places[i] ?? 0)).toBe(1);
        });
        const sum = (of: readonly { grams: number; pieces: number }[]) =>
          of.reduce((s, m) => [s[0] + m.grams, s[1] + m.pieces] as [number, number], [0, 0] as [number, number]);
        expect(sum(months)).toEqual(sum(all));
        expect(months[0]?.month).toBe(all[0]?.month);
        expect(months.at(-1)?.month).toBe(all.at(-1)?.month);
      }),
    );
  });
  test('of one kind, over the same months', () => {
    const all = [
      row('2025-11', 'canes', { grams: 40 }),
      row('2026-02', 'pieces', { grams: 30, pieces: 12, broken: 1 }),
    ];
    const pieces = monthsOf(all, 'pieces');
    expect(pieces.map((m) => [m.month, m.grams, m.broken])).toEqual([
      ['2025-11', 0, 0],
      ['2025-12', 0, 0],
      ['2026-01', 0, 0],
      ['2026-02', 30, 1],
    ]);
    expect(kindsOf(all, MADE_KINDS)).toEqual(['pieces', 'canes']);
    expect(monthsOf([], null)).toEqual([]);
  });
  test('a date of a wrong year is no reason for thousands of bars', () => {
    expect(monthsOf([row('0202-11', 'canes'), row('2026-11', 'canes')], null).length).toBeLessThanOrEqual(600);
  });
});
