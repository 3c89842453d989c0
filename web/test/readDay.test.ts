import { addDays } from 'date-fns';
import fc from 'fast-check';
import { Complaint } from '#core/units';
import { readDay, readPastDay } from '../src/state/readDay.js';
import { showDate, today } from '../src/state/today.js';

const iso = fc
  .date({ min: new Date('2000-02-01'), max: new Date('2099-11-30'), noInvalidDate: true })
  .map((d) => d.toISOString().slice(0, 10));

test('a day that is shown is read again', () => {
  fc.assert(
    fc.property(iso, (day) => {
      expect(readDay(showDate(day))).toBe(day);
    }),
  );
});

test.each(['2026-12-11', '11.12.2026', '11 Dec 2026', '11 December 2026', 'Dec. 11, 2026', 'december 11, 2026'])(
  '%s',
  (text) => {
    expect(readDay(text)).toBe('2026-12-11');
  },
);

test('nothing is no day, and what is no day is refused', () => {
  expect(readDay('  ')).toBeNull();
  for (const text of ['31.2.2026', 'soon', '11 Foo 2026', '11/12/2026', '1.1.1850'])
    expect(() => readDay(text)).toThrow(Complaint);
});

test('what was done was done today or before', () => {
  expect(readPastDay('')).toBe(today());
  expect(readPastDay(showDate(today()))).toBe(today());
  expect(readPastDay('25 Nov 2019')).toBe('2019-11-25');
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 20_000 }), (ahead) => {
      const day = addDays(new Date(), ahead);
      const said = [day.getFullYear(), day.getMonth() + 1, day.getDate()].map((n) => String(n).padStart(2, '0'));
      if (day.getFullYear() < 2100) expect(() => readPastDay(said.join('-'))).toThrow(/still to come/);
    }),
  );
});
