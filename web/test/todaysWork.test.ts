import type { PlannedJob } from '#core/days';
import { instantOf, momentOn } from '../src/stations/batches/days/clock.js';
import { handsWords } from '../src/stations/batches/days/daysWords.js';
import { workOn } from '../src/stations/batches/days/todaysWork.js';
import { wentTo } from '../src/state/benchPlace.js';

const BATCHES = [{ id: 'b', name: 'Radish blossoms' }];
const planned = (id: string, ...slots: (readonly [string, number, number, ('hands' | 'oven')?])[]): PlannedJob => ({
  job: { id, batchId: 'b', name: id, phases: [], unit: null, waits: 0, after: [] },
  slots: slots.map(([on, from, to, need = 'hands']) => ({
    ...{ jobId: id, need, from: momentOn(on, from), to: momentOn(on, to) },
  })),
  ...{ slack: null, pinned: false },
});

test('what is still to be done today, by the clock; what is over is not', () => {
  const jobs = [
    planned('bake', ['2026-11-27', 1200, 1204], ['2026-11-27', 1204, 1250, 'oven']),
    planned('cut', ['2026-11-27', 1080, 1200], ['2026-11-28', 840, 900]),
    planned('mix', ['2026-11-27', 600, 660]),
  ];
  const now = momentOn('2026-11-27', 1100);
  const { today, work } = workOn(jobs, BATCHES, now);
  expect(today).toBe(true);
  expect(work.map(({ job, oven }) => [job.name, oven])).toEqual([
    ['cut', false],
    ['bake', false],
    ['bake', true],
  ]);
  expect(work[0]!.batchName).toBe('Radish blossoms');
});

test('where today has none left, the next day with work is told', () => {
  const { today, on, work } = workOn(
    [planned('cut', ['2026-12-02', 1080, 1200])],
    BATCHES,
    instantOf(new Date(2026, 10, 27)),
  );
  expect([today, work.length, on]).toEqual([false, 1, momentOn('2026-12-02', 1080)]);
  expect(workOn([], BATCHES, 0).work).toEqual([]);
});

test('the clock of a step is added up, also where one comes back to it', () => {
  const minute = 60_000;
  const first = wentTo({ at: 0, counts: [], since: 0 }, 1, 4 * minute);
  const back = wentTo(first, 0, 5 * minute);
  const on = wentTo(back, 1, 7 * minute);
  expect(on.took).toEqual({ 0: 6, 1: 1 });
  // nobody looked at the clock before
  expect(wentTo({ at: 3, counts: [2] }, 3, minute)).toEqual({ at: 3, counts: [2], since: minute, took: { 3: 0 } });
});

test('what the hands take is said with how often it was counted', () => {
  expect(handsWords({ key: 'cut', factor: 1.26, from: 1 })).toBe('cut 1.3 times as long as assumed (once)');
  expect(handsWords({ key: 'sand', factor: 0.8, from: 4 })).toBe('sand 0.8 times as long as assumed (4 times)');
});
