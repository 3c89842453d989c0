import {
  ASSUMED_ENDS,
  STARTING_POINTS,
  areaOf,
  begunAt,
  beyond,
  contextOf,
  diameterOf,
  extentOf,
  partsOf,
  planBackwards,
  reachOf,
  readProgram,
  usable,
  usedIn,
  type BackwardsPlan,
  type Stage,
  type Step,
} from '#core/cane';
import { readCane, standAlone, writeCane } from '#core/formats';
import { seeded } from '#core/units';
import { COLOURS, last, log, steps } from './canes.js';

const sum = (amounts: ReadonlyMap<unknown, number>): number => [...amounts.values()].reduce((a, b) => a + b, 0);
const cutOf = ({ offcuts }: BackwardsPlan): number => offcuts.reduce((all, { volumes }) => all + sum(volumes), 0);

describe.each(STARTING_POINTS.map((s) => [s.id, s] as const))('the starting point %s', (_, start) => {
  const list = start.steps(COLOURS);

  test('can be done, and its face has the clay that was put in', () => {
    const context = contextOf();
    const state = last(list, context);
    const [reach, chance] = [reachOf(state.outline), seeded(17)];
    const { width, height, left, bottom } = extentOf(state.outline);
    const [counts, N] = [new Map<number, number>(), 440];
    let whole = 0;
    for (let j = 0; j < N; j++) {
      for (let i = 0; i < N; i++) {
        const [x, y] = [left + ((i + chance()) / N) * width, bottom + ((j + chance()) / N) * height];
        if (beyond(reach, x, y) > 1) continue;
        const index = Math.floor(state.sample(x, y));
        counts.set(index, (counts.get(index) ?? 0) + 1);
        whole++;
      }
    }
    const area = areaOf(state.outline);
    expect([...state.amounts.values()].reduce((a, b) => a + b, 0) / area).toBeCloseTo(1, 3);
    for (const [index, amount] of state.amounts)
      expect(Math.abs(amount / area - (counts.get(index) ?? 0) / whole)).toBeLessThan(0.005);
    expect([...counts.keys()].every((index) => state.amounts.has(index))).toBe(true);
  });

  test('is a document that can be read, and plans backwards to what it needs', () => {
    expect(readProgram(JSON.parse(JSON.stringify({ version: 1, steps: list })))).toEqual({ version: 1, steps: list });
    const context = contextOf();
    const wanted = { slices: 40, thickness: 2 };
    const plan = planBackwards(list, wanted, context);
    const end = last(list, context);
    const given = sum(plan.volumes);
    const slices = areaOf(end.outline) * 80;
    // clay that goes in is in the slices, or cut off
    expect(given / (slices + cutOf(plan))).toBeCloseTo(1, 9);
    expect(usable(plan.stages.at(-1) as Stage)).toBeCloseTo(80 / plan.pieces, 9);
    expect(plan.each * plan.pieces).toBe(40);
    // by hand a tenth to a quarter is lost at the ends
    const ends = plan.offcuts.filter((o) => o.why === 'ends').reduce((all, o) => all + sum(o.volumes), 0);
    expect(ends / given).toBeGreaterThan(0.1);
    expect(ends / given).toBeLessThan(0.25);
    if (list.length > 8) return;
    const each = planBackwards(
      list,
      wanted,
      contextOf(undefined, 0, 1, { share: ASSUMED_ENDS, trimming: 'at every reduction' }),
    );
    expect(cutOf(each)).toBeGreaterThanOrEqual(cutOf(plan) - 1e-6);
  });
});

test('begun smaller, a cane comes out as before, only longer', () => {
  for (const { steps: of } of STARTING_POINTS) {
    const list = of(COLOURS);
    const at = list.findLastIndex((s) => s.do === 'reduce');
    if (at < 0 || list.some((s) => s.do === 'bundle' || s.do === 'ring')) continue;
    const [before, after] = [last(list), last(begunAt(list, 0.9))];
    expect(diameterOf(after.outline)).toBeCloseTo(diameterOf(before.outline), at === list.length - 1 ? 2 : -1);
    expect(after.length / before.length).toBeCloseTo(0.81, 1);
  }
});

describe('documents', () => {
  test('a cane goes out and comes in the same; what it takes in is copied, and materials get other names', () => {
    const inner = { name: 'Eye', program: { version: 1 as const, steps: steps(log('clay:b', 6)) } };
    const file = {
      name: 'Peacock',
      program: {
        version: 1 as const,
        steps: steps(log('clay:a', 30), {
          do: 'insert',
          part: { ref: 'r1', name: 'Eye' },
          x: 0,
          y: 0,
          diameter: 8,
          degrees: 0,
        }),
      },
      canes: { r1: inner },
      materials: { 'clay:a': { name: 'Leek', hexes: ['4F7F45'] }, 'clay:b': { name: 'Corn', hexes: ['F0CB55'] } },
      slices: 30,
      sliceMm: 2,
    };
    expect(readCane(writeCane(file))).toEqual(file);
    const alone = standAlone(file, (key) => `${key}x`);
    expect(usedIn(alone.steps)).toEqual({ materials: ['clay:ax', 'clay:bx'], canes: [] });
    expect(partsOf(alone.steps[1] as Step)[0]).toMatchObject({ name: 'Eye' });
  });

  test.each<[string, unknown, RegExp]>([
    ['no JSON', '{', /not JSON/],
    ['another document', '{"kind":"palette"}', /does not say that it is one/],
    ['a newer one', '{"kind":"cane","version":9}', /newer Sledge/],
    ['an unknown step', { steps: [{ id: 'a', do: 'melt' }] }, /does not know \(“melt”\) at steps 1/],
    [
      'a size of nothing',
      { steps: [{ id: 'a', do: 'log', of: 'clay:a', diameter: 0, length: 9 }] },
      /at steps 1, diameter/,
    ],
    ['a step without clay first', { steps: [{ id: 'a', do: 'mirror' }] }, /does not begin with clay/],
    [
      'more than it should have',
      { steps: [{ id: 'a', do: 'log', of: 'clay:a', diameter: 9, length: 9, run: 'x' }] },
      /“run” is not known/,
    ],
    [
      'a cane that is missing',
      { steps: [{ id: 'a', do: 'cane', part: { ref: 'zz' } }] },
      /“zz” that it takes in is missing/,
    ],
  ])('%s is refused in a sentence with its place', (_, given, words) => {
    const text =
      typeof given === 'string'
        ? given
        : JSON.stringify({ kind: 'cane', version: 1, name: 'X', program: { version: 1, ...(given as object) } });
    expect(() => readCane(text)).toThrow(words);
  });
});
