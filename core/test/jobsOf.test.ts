import type { BenchStep } from '#core/batch';
import { jobsOf, lengthOf } from '#core/days';

const LOAD = {
  ...{ cores: false, lines: ['l'], celsius: 130, low: 125, minutes: 60, maxC: 150, compromise: false },
  ...{ below: false, alone: null, onForm: false, tooLarge: false, lineIds: ['l'] },
} as const;
const bake = (times: number, more: Partial<Extract<BenchStep, { kind: 'bake' }>> = {}): BenchStep => ({
  kind: 'bake',
  ...LOAD,
  times,
  pieces: [{ id: 'p', name: 'Bead', count: 12 }],
  ...more,
});
const clean = { of: { kind: 'clay', id: 'c' }, name: 'Chalk', hex: 'F1EEE4' } as const;
const cut = { kind: 'ready', what: clean, grams: 3, short: 0 } as const;
const jobs = (steps: readonly BenchStep[]) => jobsOf('b', steps, ({ kind }) => kind, new Map());

test('trays of the same are jobs of their own, one after the other, with all of the pieces', () => {
  const all = jobs([cut, bake(3)]);
  const bakes = all.filter((j) => j.kind === 'bake');
  expect(bakes).toHaveLength(3);
  expect(new Set(all.map((j) => j.id)).size).toBe(all.length);
  // four minutes by hand, twelve until it is warm, and an hour
  expect(bakes.map(lengthOf)).toEqual([76, 76, 76]);
  expect(bakes.flatMap((j) => j.bakes)).toEqual([1, 2, 3].map(() => ({ id: 'p', count: 12 })));
  bakes.slice(1).forEach((job, i) => {
    expect(job.after).toEqual([bakes[i]!.id]);
  });
});

test('of hundreds of trays several are a job: none is lost', () => {
  const bakes = jobs([bake(133)]).filter((j) => j.kind === 'bake');
  expect(bakes.length).toBeLessThanOrEqual(40);
  const pieces = bakes.flatMap((j) => j.bakes).reduce((sum, { count }) => sum + count, 0);
  expect(pieces).toBe(133 * 12);
});

test('cores come before what covers them', () => {
  const all = jobs([bake(1, { cores: true }), cut, bake(1)]);
  expect(all.map((j) => j.kind)).toEqual(['bake cores', 'condition', 'bake']);
});
