import fc from 'fast-check';
import { seeded } from '#core/units';
import {
  brokenRules,
  freeWindows,
  lengthOf,
  networkIn,
  orderBy,
  planDays,
  schedule,
  tooLong,
  whatFits,
  whatHelps,
  type DaysProblem,
  type Job,
  type Window,
} from '#core/days';

const DAY = 1440;
const job = (id: string, hands: number, more: Partial<Job> = {}): Job => ({
  ...{ id, batchId: 'b', name: id, unit: null, waits: 0, after: [] },
  phases: [{ need: 'hands', minutes: hands }],
  ...more,
});
const evenings = (days: number, from = 18 * 60, to = 22 * 60): Window[] =>
  Array.from({ length: days }, (_, d) => ({ from: d * DAY + from, to: d * DAY + to }));
const problem = (jobs: readonly Job[], more: Partial<DaysProblem> = {}): DaysProblem => ({
  ...{ now: 0, jobs, windows: evenings(20), moves: [] },
  batches: [{ id: 'b', name: 'Blossoms', due: null }],
  ...more,
});

/** A small case by chance: jobs of two batches, some with the oven, some with waits, each after some before it. */
function randomCase(seed: number): DaysProblem {
  const chance = seeded(seed);
  const pick = (n: number): number => Math.floor(chance() * n);
  const jobs = Array.from({ length: 3 + pick(4) }, (_, i): Job => {
    const hands = 10 * (1 + pick(9));
    const oven = pick(3) === 0 ? 30 + 10 * pick(5) : 0;
    return job(`j${i}`, hands, {
      batchId: pick(2) === 0 ? 'a' : 'b',
      phases: [{ need: 'hands', minutes: hands }, ...(oven > 0 ? [{ need: 'oven', minutes: oven } as const] : [])],
      waits: pick(3) === 0 ? 60 * pick(24) : 0,
      after: Array.from({ length: i }, (__, k) => `j${k}`).filter(() => chance() < 0.35),
    });
  });
  const windows = evenings(12, 18 * 60, 18 * 60 + 60 * (3 + pick(3)));
  return problem(jobs, {
    windows,
    batches: ['a', 'b'].map((id) => ({ id, name: id, due: pick(2) === 0 ? null : (3 + pick(6)) * DAY })),
  });
}

/** Every order in which no job comes before what it rests on. */
function* orders(before: readonly (readonly { from: number }[])[], done: number[] = []): Generator<number[]> {
  if (done.length === before.length) yield [...done];
  for (let i = 0; i < before.length; i++) {
    if (done.includes(i) || !before[i]!.every((e) => done.includes(e.from))) continue;
    yield* orders(before, [...done, i]);
  }
}

test('on 500 small cases no rule is broken, and the end is within a twentieth of the best of every order', () => {
  let worst = 1;
  for (let seed = 1; seed <= 500; seed++) {
    const own = randomCase(seed);
    const free = { ...own, batches: own.batches.map((b) => ({ ...b, due: null })) };
    const plan = planDays(free);
    expect(brokenRules(plan.jobs, free)).toEqual([]);
    expect(brokenRules(planDays(own).jobs, own)).toEqual([]);
    const network = networkIn(free);
    let best = Infinity;
    for (const order of orders(network.before)) best = Math.min(best, schedule(network, order).end);
    const end = Math.max(...plan.jobs.map((j) => j.slots.at(-1)!.to));
    worst = Math.max(worst, (end - 1080) / (best - 1080));
  }
  expect(worst).toBeLessThanOrEqual(1.05);
});

test('backwards from its day a batch is begun as late as may be, and nothing of it is late', () => {
  const chain = [
    job('condition', 60),
    job('bake', 5, {
      phases: [
        { need: 'hands', minutes: 5 },
        { need: 'oven', minutes: 60 },
      ],
      after: ['condition'],
    }),
    job('glue', 30, { after: ['bake'], waits: DAY }),
  ];
  const own = problem(chain, { batches: [{ id: 'b', name: 'Blossoms', due: 10 * DAY + 12 * 60 }] });
  const plan = planDays(own);
  expect(plan.backwards).toBe(true);
  expect(brokenRules(plan.jobs, own)).toEqual([]);
  // the glue has to stand a day before noon of the tenth: on the evening of the eighth
  expect(plan.jobs.find((j) => j.job.id === 'glue')!.slots[0]!.from).toBe(8 * DAY + 22 * 60 - 30);
  expect(plan.batches[0]).toMatchObject({ late: 0, latest: 8 * DAY + 22 * 60 - 30 - 65 - 60 });
  expect(plan.jobs[0]!.slack).toBeGreaterThan(7 * DAY);
});

test('what cannot be in time is planned from now, and it is said by how much, and what helps', () => {
  const jobs = [
    job('cut', 300, { unit: 15 }),
    job('buff', 120, { unit: 15, after: ['cut'] }),
    job('card', 60, { after: ['buff'] }),
  ];
  const own = problem(jobs, { windows: evenings(4), batches: [{ id: 'b', name: 'Beads', due: 2 * DAY }] });
  const plan = planDays(own);
  // 480 minutes are two evenings: it ends when the second is over, before its day
  expect(plan.batches[0]!.late).toBe(0);
  const shorter = { ...own, windows: evenings(4, 18 * 60, 21 * 60) };
  const late = planDays(shorter);
  expect(late.batches[0]!.late).toBe(2 * DAY + 18 * 60 + 120 - 2 * DAY);
  const helps = whatHelps(shorter, 'b', new Set(['buff']));
  expect(helps.map((h) => h.kind)).toEqual(['fewer', 'without', 'hour', 'later']);
  expect(helps[0]).toMatchObject({ share: 0.7 });
  expect(helps[2]).toMatchObject({ at: 21 * 60, minutes: 120 });
});

test('long work is divided between its pieces, and what cannot be is said', () => {
  const jobs = [job('assemble', 600, { unit: 25 }), job('cane', 300)];
  const own = problem(jobs);
  const plan = planDays(own);
  const { slots } = plan.jobs.find((j) => j.job.id === 'assemble')!;
  expect(slots.length).toBeGreaterThan(2);
  expect(slots.reduce((sum, s) => sum + s.to - s.from, 0)).toBeCloseTo(600, 6);
  expect(tooLong(own).map((j) => j.id)).toEqual(['cane']);
  expect(plan.jobs.find((j) => j.job.id === 'cane')!.slots).toEqual([]);
});

test('a job that somebody put there stays there, and what it breaks is said', () => {
  const jobs = [job('cut', 60), job('bake', 60, { after: ['cut'] })];
  const moved = problem(jobs, { moves: [{ jobId: 'bake', at: 3 * DAY + 19 * 60 }] });
  const plan = planDays(moved);
  expect(plan.jobs.find((j) => j.job.id === 'bake')!.slots[0]!.from).toBe(3 * DAY + 19 * 60);
  expect(brokenRules(plan.jobs, moved)).toEqual([]);
  const tooEarly = { ...moved, moves: [{ jobId: 'bake', at: 18 * 60 }] };
  expect(brokenRules(planDays(tooEarly).jobs, tooEarly)).toContainEqual({ jobId: 'bake', rule: 'order', other: 'cut' });
  // what was put into the past is planned anew
  const past = { ...moved, now: 5 * DAY };
  expect(brokenRules(planDays(past).jobs, past)).toEqual([]);
});

test('without free hours there is no plan, and every job is told to have no room', () => {
  const plan = planDays(problem([job('cut', 60)], { windows: [], batches: [{ id: 'b', name: 'B', due: DAY }] }));
  expect(plan.jobs[0]!.slots).toEqual([]);
  expect(plan.batches[0]).toMatchObject({ ready: null, late: Infinity, latest: null });
});

test('what fits in the minutes there are: nothing that waits for something, whole or some pieces of it', () => {
  const jobs = [job('condition', 25), job('roll', 10, { after: ['condition'] }), job('punch', 60, { unit: 4 })];
  const fits = whatFits(planDays(problem(jobs)), 40);
  expect(fits.map((f) => [f.job.id, f.minutes, f.whole])).toEqual(
    expect.arrayContaining([
      ['condition', 25, true],
      ['punch', 40, false],
    ]),
  );
  expect(fits.map((f) => f.job.id)).not.toContain('roll');
  expect(whatFits(planDays(problem(jobs)), 3)).toEqual([]);
});

test('free hours by weekday and on single days, joined where they touch, also where the clock is put on', () => {
  const weekdays = Array.from({ length: 7 }, (_, d) => (d === 5 ? [] : [{ from: 1050, to: 1320 }]));
  const days = Array.from({ length: 7 }, (_, d) => ({ on: `2026-12-0${d + 1}`, weekday: d }));
  const at = (on: string, minute: number): number => (Number(on.slice(-1)) - 1) * DAY + minute;
  const rule = {
    weekdays,
    exceptions: [
      {
        on: '2026-12-02',
        hours: [
          { from: 600, to: 700 },
          { from: 700, to: 760 },
          { from: 5, to: 5 },
        ],
      },
    ],
  };
  const windows = freeWindows(rule, days, at);
  expect(windows).toHaveLength(6);
  expect(windows[1]).toEqual({ from: DAY + 600, to: DAY + 760 });
  // an hour is left out in the night: the stretch is an hour shorter, and still the same by the clock
  const sprung = freeWindows(
    { weekdays: [[{ from: 60, to: 300 }]], exceptions: [] },
    [{ on: 'x', weekday: 0 }],
    (_, m) => (m >= 180 ? m - 60 : m),
  );
  expect(sprung).toEqual([{ from: 60, to: 240 }]);
});

test('whatever the jobs, nobody has two pairs of hands', () => {
  fc.assert(
    fc.property(fc.integer({ min: 501, max: 9000 }), (seed) => {
      const own = randomCase(seed);
      const divided = { ...own, jobs: own.jobs.map((j) => (j.phases.length === 1 ? { ...j, unit: 15 } : j)) };
      expect(brokenRules(planDays(divided).jobs, divided)).toEqual([]);
      const network = networkIn(divided);
      const order = orderBy(network, (i) => -lengthOf(network.jobs[i]!));
      expect(order.map((i) => i).sort((a, b) => a - b)).toEqual(network.jobs.map((_, i) => i));
    }),
    { numRuns: 100 },
  );
});

test('what is for no day is done as early as the rest lets it', () => {
  const jobs = [job('for the market', 60, { batchId: 'a' }), job('some day', 60, { batchId: 'b' })];
  const own = problem(jobs, {
    batches: [
      { id: 'a', name: 'a', due: 9 * DAY },
      { id: 'b', name: 'b', due: null },
    ],
  });
  const plan = planDays(own);
  expect(plan.backwards).toBe(true);
  expect(plan.jobs.map((j) => [j.job.id, j.slots[0]!.from])).toEqual([
    ['some day', 18 * 60],
    ['for the market', 8 * DAY + 21 * 60],
  ]);
  expect(brokenRules(plan.jobs, own)).toEqual([]);
});
