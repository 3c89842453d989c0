import type { Remote } from 'comlink';
import {
  STARTING_POINTS,
  USUAL_ENDS,
  contextOf,
  frameOf,
  runSteps,
  smoothRows,
  type CaneState,
  type Step,
} from '#core/cane';
import type { CaneWorker } from '../src/workers/cane.worker.js';
import { newStep } from '../src/stations/canes/steps/index.js';
import { thereAt } from '../src/workers/cane.js';
import type { PlainCane } from '../src/workers/canePlain.js';
import { COLOURS } from '../../core/test/canes.js';
import { inThread } from './thread.js';

let worker: Remote<CaneWorker>;
beforeAll(async () => {
  worker = await inThread<CaneWorker>(() => import('../src/workers/cane.worker.js'));
});

const basket = STARTING_POINTS.find((s) => s.id === 'woven-basket')?.steps(COLOURS) as readonly Step[];
const cane = (steps: readonly Step[]): PlainCane => ({ steps, library: {}, wobble: 0, seed: 1, ends: USUAL_ENDS });
const changed = (at: number, part: object): Step[] =>
  basket.map((s, i) => (i === at ? ({ ...s, ...part } as Step) : s));
const paints = Object.fromEntries(
  Object.values(COLOURS)
    .flat()
    .map((key, i) => [key, Uint8Array.from([25 * i, 80, 220 - 25 * i])]),
);
const stamps = async (id: string, steps: readonly Step[]): Promise<number[]> =>
  (await worker.load(id, cane(steps))).map((s) => s.stamp);

test('a changed step has another stamp, and so has every one after it; those before it keep theirs', async () => {
  let before = await stamps('a', basket);
  for (const at of [basket.length - 1, 4, 1, 0]) {
    const after = await stamps('a', changed(at, { id: `other ${at}` }));
    const back = await stamps('a', basket);
    after.forEach((stamp, i) => {
      expect(stamp === before[i]).toBe(i < at);
    });
    expect(new Set([...before, ...after]).size).toBe(before.length + basket.length - at);
    before = back;
  }
  expect(await stamps('a', basket)).toEqual(before);
});

test('where a step cannot be done it says why, and those after it are not there', async () => {
  const at = basket.findIndex((s) => s.do === 'reduce');
  const steps = await worker.load('wrong', cane(changed(at, { value: 900 })));
  expect(steps[at]?.wrong).toMatch(/cannot be reduced to/);
  steps.forEach((s, i) => {
    expect([s.there, s.wrong === null]).toEqual([i < at, i !== at]);
  });
  expect(await worker.face('wrong', at, 20, 1, paints)).toBeNull();
});

test('a fine face lets figures go before it, and gives way to a newer one of the same name', async () => {
  await worker.load('b', cane(basket.slice(0, 9)));
  const answered: string[] = [];
  const at = 8;
  const old = worker.face('b', at, 48, 1, paints).then((picture) => {
    answered.push(picture ? 'old' : 'given up');
  });
  const newer = worker.face('b', at, 48, 1, paints).then((picture) => {
    answered.push(picture ? 'fine' : 'none');
  });
  const plan = worker.backwards('b', { slices: 8, thickness: 2 }).then((p) => {
    answered.push(typeof p === 'string' ? p : 'plan');
  });
  const coarse = worker.face('b', at, 200, 4, paints).then((picture) => {
    answered.push(picture ? 'coarse' : 'none');
  });
  await Promise.all([old, newer, plan, coarse]);
  expect(answered).toHaveLength(4);
  expect(answered.slice(0, 3)).toEqual(expect.arrayContaining(['plan', 'coarse', 'given up']));
  expect(answered.at(-1)).toBe('fine');
});

test('a fine face painted in strips is the one painted at once, and a coarse one has its size', async () => {
  const [small, at] = [basket.slice(0, 5), 4];
  await worker.load('c', cane(small));
  const context = contextOf();
  const state = runSteps(small, context)[at]?.state as CaneState;
  const whole = smoothRows(
    state,
    context.materials.map((key) => paints[key] ?? new Uint8Array(3)),
    frameOf(state.outline, 64),
    { from: 0, to: 64 },
    2,
  );
  const data = async (every: number): Promise<ArrayLike<number>> => {
    return (await worker.face('c', at, 64, every, paints))?.data ?? [];
  };
  expect(await data(1)).toEqual(whole);
  const area = (of: ArrayLike<number>): number => Array.from(of).filter((v, i) => i % 4 === 3 && v > 127).length;
  expect(Math.abs(area(await data(2)) / area(whole) - 1)).toBeLessThan(0.06);
});

test('what goes wrong is named by its clay, and of one clay alone nothing is narrow', async () => {
  const bakes = [{ bakeC: 130, maxC: 150 }];
  const clay = { lab: { l: 50, a: 0, b: 0 }, hides: 0.3, bakes, old: false, crumbly: false };
  const all = Object.fromEntries(
    Object.keys(paints).map((key, i) => [key, { ...clay, lab: { l: 15 + 9 * i, a: 0, b: 0 }, old: i === 0 }]),
  );
  await worker.load(
    'd',
    cane(changed(basket.length - 1, {}).concat({ id: 'r', do: 'reduce', to: 'diameter', value: 6 } as Step)),
  );
  const { warnings, feature } = await worker.judge('d', all);
  expect(Object.keys(paints)).toContain(feature?.material);
  expect(warnings.find((w) => w.kind === 'feature')).toMatchObject({ material: feature?.material, mm: feature?.mm });
  await worker.load('e', cane([{ id: 'l', do: 'log', of: 'clay:a', diameter: 20, length: 40 } as Step]));
  expect(await worker.judge('e', { 'clay:a': { ...clay, old: true } })).toEqual({
    warnings: [{ kind: 'old', material: 'clay:a' }],
    feature: null,
    stop: null,
  });
  expect(await worker.judge('not loaded', {})).toEqual({ warnings: [], feature: null, stop: null });
});

test('of many canes the oldest is let go, and worked out again where it is asked for', async () => {
  const log = async (id: string): Promise<number | undefined> =>
    (await worker.load(id, cane([{ id: 'l', do: 'log', of: 'clay:a', diameter: 20, length: 40 } as Step])))[0]?.stamp;
  const stamp = await log('first');
  const before = await worker.face('first', 0, 10, 1, paints);
  expect(before).toMatchObject({ width: 10 });
  expect(await log('first')).toBe(stamp);
  for (let i = 0; i < 40; i++) await log(`later ${i}`);
  expect(await worker.face('first', 0, 10, 1, paints)).toEqual(before);
  expect(await worker.backwards('first', { slices: 8, thickness: 2 })).toMatchObject({ starts: [{ count: 1 }] });
  expect(await log('first')).not.toBe(stamp);
  expect(await worker.face('later 39', 0, 10, 1, paints)).toMatchObject({ width: 10 });
});

test('a step after one that cannot be is made to fit as if nothing stood before it, not to fit nothing', async () => {
  const missing: Step = { id: 'gone', do: 'cane', part: { ref: 'not there any more' } };
  const steps = await worker.load('gone', cane([missing]));
  expect(steps[0]?.there).toBe(false);
  expect(thereAt({ id: 'gone', steps }, 0)).toBeNull();
  const clays = { light: 'clay:a', dark: 'clay:b', blend: null };
  const sizeOfHole = (now: Parameters<typeof newStep>[1]): number =>
    (newStep('insert', now, clays) as Extract<Step, { do: 'insert' }>).diameter;
  expect(sizeOfHole(thereAt({ id: 'gone', steps }, 0))).toBeGreaterThan(5);
  const stood = await worker.load('stood', cane(basket));
  const last = thereAt({ id: 'stood', steps: stood }, basket.length - 1);
  expect(sizeOfHole(last)).toBeCloseTo(0.3 * Math.min(last?.width ?? 0, last?.height ?? 0), 1);
});
