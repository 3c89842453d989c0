import fc from 'fast-check';
import { planDays } from '#core/days';
import { calendarOf } from '../src/stations/batches/days/calendarFile.js';
import {
  clockWords,
  daysFrom,
  hoursWords,
  instantOf,
  momentOn,
  readHours,
} from '../src/stations/batches/days/clock.js';
import { brokenWords, helpWords, outcomeWords } from '../src/stations/batches/days/daysWords.js';
import { done, letGo, put, undone, withDay, withWeekday } from '../src/stations/batches/days/ruleMoves.js';
import type { AllDays } from '../src/stations/batches/days/daysProblem.js';

const hours = fc
  .uniqueArray(fc.integer({ min: 0, max: 1440 }), { minLength: 2, maxLength: 6 })
  .map((all) => all.sort((a, b) => a - b))
  .map((all) => all.slice(1).flatMap((to, i) => (i % 2 === 0 ? [{ from: all[i]!, to }] : [])));

test('free hours are read as they are written', () => {
  fc.assert(
    fc.property(hours, (own) => {
      expect(readHours(hoursWords(own))).toEqual(own);
    }),
  );
  expect(readHours('not')).toEqual([]);
  expect(readHours('9-12, 2 pm to 5:30 pm')).toEqual([
    { from: 540, to: 720 },
    { from: 840, to: 1050 },
  ]);
  expect(clockWords(20 * 60 + 59.7)).toBe('21:00');
});

test.each([
  ['evening', /“evening” says no free hours/],
  ['22 to 18', /18:00 is not after 22:00/],
  ['25 to 26', /says no free hours/],
  ['18:75 to 20', /says no free hours/],
])('%s is told', (text, sentence) => {
  expect(() => readHours(text)).toThrow(sentence);
});

test('days follow each other by the calendar, and moments by the clock', () => {
  const days = daysFrom(instantOf(new Date(2026, 9, 23, 15, 0)), 5);
  expect(days.map((d) => d.on)).toEqual(['2026-10-23', '2026-10-24', '2026-10-25', '2026-10-26', '2026-10-27']);
  expect(days[0]!.weekday).toBe(4);
  for (const { on } of days) expect(new Date(momentOn(on, 18 * 60) * 60_000).getHours()).toBe(18);
});

const rule: AllDays['rule'] = {
  ...{ version: 1, exceptions: [], moves: [], done: [] },
  weekdays: Array.from({ length: 7 }, () => ({ hours: [{ from: 1080, to: 1320 }] })),
};
const job = { id: 'j', batchId: 'b', name: 'glue', unit: null, waits: 1440, after: [] } as const;
const all = {
  ...{ rule, batches: [{ id: 'b', name: 'Radish blossoms', dueOn: null }], learned: [] },
  jobs: [
    {
      ...job,
      phases: [{ need: 'hands', minutes: 30 }],
      kind: 'finish',
      about: '',
      count: 12,
      optional: false,
      bakes: [],
    },
  ],
} as AllDays;

test('a job is put somewhere and let go, is done and not done after all; what is gone is tidied away', () => {
  const moved = put(all, 'j', 500);
  expect(moved.moves).toEqual([{ jobId: 'j', at: 500 }]);
  expect(letGo({ ...all, rule: moved }, 'j').moves).toEqual([]);
  const over = done({ ...all, rule: moved }, 'j', 600);
  expect([over.moves, over.done]).toEqual([[], [{ jobId: 'j', at: 600 }]]);
  expect(undone({ ...all, rule: over }, 'j').done).toEqual([]);
  expect(put({ ...all, rule: { ...rule, done: [{ jobId: 'gone', at: 1 }] } }, 'j', 5).done).toEqual([]);
});

test('a day otherwise than its weekday is kept, and the same again is none', () => {
  const free = withDay(rule, '2026-12-05', 5, []);
  expect(free.exceptions).toEqual([{ on: '2026-12-05', hours: [] }]);
  expect(withDay(free, '2026-12-05', 5, [{ from: 1080, to: 1320 }]).exceptions).toEqual([]);
  expect(withWeekday(rule, 6, []).weekdays[6]!.hours).toEqual([]);
});

test('a calendar file has every stretch of work in universal time', () => {
  const now = instantOf(new Date(2026, 11, 1, 12, 0));
  const plan = planDays({
    ...{ now, jobs: all.jobs, moves: [], batches: [{ id: 'b', name: 'Radish blossoms', due: null }] },
    windows: [{ from: now + 360, to: now + 600 }],
  });
  const file = calendarOf(plan, () => 'Radish blossoms')!;
  expect(file).toContain('BEGIN:VCALENDAR');
  expect(file).toContain('SUMMARY:Radish blossoms: glue');
  const start = new Date((now + 360) * 60_000).toISOString().replace(/[-:]/g, '').replace('.000', '');
  expect(file).toContain(`DTSTART:${start}`);
  expect(calendarOf({ ...plan, jobs: [] }, () => '')).toBeNull();
});

test('how it comes out, what helps and what is broken are said in words', () => {
  const out = { batchId: 'b', ready: 0, late: 0, latest: null };
  expect(outcomeWords({ ...out, ready: null, late: Infinity }, 5)).toMatch(/no room/);
  expect(outcomeWords({ ...out, late: 3000 }, 5)).toMatch(/2 days late/);
  expect(outcomeWords(out, null)).toMatch(/^Ready /);
  expect(outcomeWords({ ...out, latest: 0 }, 5)).toMatch(/^Begin by /);
  const called = (): string => 'buff';
  expect(helpWords({ kind: 'fewer', batchId: 'b', share: 0.8 }, called, 20)).toBe('16 instead of 20 fit');
  expect(helpWords({ kind: 'without', batchId: 'b', jobId: 'x' }, called, 20)).toBe('without “buff” it fits');
  expect(helpWords({ kind: 'hour', at: 0, minutes: 60 }, called, 20)).toMatch(/60 min more on/);
  expect(helpWords({ kind: 'later', batchId: 'b', minutes: 4320 }, called, 20)).toMatch(/3 days later/);
  for (const r of ['order', 'hands', 'oven', 'free hours', 'length', 'before now'] as const)
    expect(brokenWords({ jobId: 'j', rule: r, other: 'k' }, called)).toMatch(/^buff .*\.$/);
});
