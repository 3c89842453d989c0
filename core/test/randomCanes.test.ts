import fc from 'fast-check';
import {
  SHAPES,
  acrossOf,
  areaOf,
  begunAt,
  beyond,
  contextOf,
  frameOf,
  judge,
  measured,
  planBackwards,
  reachOf,
  readProgram,
  runSteps,
  smoothRows,
  usedIn,
  type CaneContext,
  type CaneState,
  type JudgedMaterial,
  type Step,
} from '#core/cane';
import { readCane, standAlone, writeCane } from '#core/formats';
import { last, steps, within, type Loose } from './canes.js';

const size = (min: number, max: number): fc.Arbitrary<number> =>
  fc.double({ min, max, noNaN: true }).map((v) => Math.round(v * 10) / 10 + 0);
const degrees = fc.integer({ min: -180, max: 180 });
const clay = fc.constantFrom('clay:a', 'clay:b', 'clay:c');
const layers = fc.array(fc.record({ of: clay, thickness: size(0.5, 4) }), { minLength: 1, maxLength: 4 });
const begin: fc.Arbitrary<Loose> = fc.oneof(
  fc.record({ do: fc.constant('log' as const), of: clay, diameter: size(5, 40), length: size(30, 300) }),
  fc.record({
    do: fc.constant('block' as const),
    of: clay,
    width: size(5, 40),
    height: size(5, 40),
    length: size(30, 300),
  }),
  fc.record({
    do: fc.constant('plug' as const),
    of: fc.constant('blend:f'),
    wound: fc.constantFrom('rolled' as const, 'fan' as const),
    inside: fc.constantFrom('first' as const, 'last' as const),
    width: size(5, 40),
    depth: size(5, 40),
    length: size(30, 300),
  }),
  fc.record({ do: fc.constant('roll' as const), layers, rolled: size(60, 400), length: size(30, 300) }),
  fc.record({
    do: fc.constant('loaf' as const),
    layers,
    times: fc.integer({ min: 1, max: 6 }),
    width: size(8, 40),
    length: size(30, 300),
  }),
);
const small = fc.record({ steps: fc.tuple(begin).map((all) => steps(...all)) });
const then: fc.Arbitrary<Loose> = fc.oneof(
  fc.record({ do: fc.constant('wrap' as const), of: clay, thickness: size(0.3, 4) }),
  fc.record({
    do: fc.constant('press' as const),
    to: fc.constantFrom(...SHAPES.filter((s) => s !== 'drawn')).map((shape) => ({ shape })),
    turn: degrees,
  }),
  fc.record({ do: fc.constant('squeeze' as const), factor: size(0.5, 2) }),
  fc.record({ do: fc.constant('turn' as const), degrees }),
  fc.constant({ do: 'mirror' as const }),
  fc.record({ do: fc.constant('split' as const), parts: fc.integer({ min: 2, max: 6 }), degrees }),
  fc.record({ do: fc.constant('across' as const), pieces: fc.integer({ min: 2, max: 12 }) }),
  fc.record({
    do: fc.constant('grid' as const),
    rows: fc.integer({ min: 1, max: 3 }),
    columns: fc.integer({ min: 1, max: 3 }),
    turns: fc.constantFrom('none' as const, 'quarter' as const, 'half' as const, 'mirror' as const),
  }),
  fc.record({
    do: fc.constant('pie' as const),
    count: fc.integer({ min: 3, max: 8 }),
    mirrored: fc.boolean(),
    corner: degrees,
  }),
  fc.record({ do: fc.constant('pair' as const), turned: fc.constantFrom('mirror' as const, 'half' as const) }),
  fc.record({
    do: fc.constant('ring' as const),
    count: fc.integer({ min: 3, max: 8 }),
    middle: fc.oneof(fc.constant(null), small),
  }),
  fc.record({
    do: fc.constant('bundle' as const),
    count: fc.integer({ min: 2, max: 9 }),
    others: fc.array(fc.record({ part: small, count: fc.integer({ min: 0, max: 4 }) }), { maxLength: 2 }),
    to: fc.constantFrom({ shape: 'round' as const }, { shape: 'hexagon' as const }),
    seed: fc.nat(99),
  }),
  fc.record({
    do: fc.constant('stack' as const),
    part: small,
    side: fc.constantFrom('right' as const, 'top' as const),
  }),
  fc.record({
    do: fc.constant('insert' as const),
    part: small,
    x: size(-4, 4),
    y: size(-4, 4),
    diameter: size(2, 8),
    degrees,
  }),
  fc.record({ do: fc.constant('reduce' as const), to: fc.constant('diameter' as const), value: size(6, 30) }),
  fc.record({ do: fc.constant('reduce' as const), to: fc.constant('length' as const), value: size(60, 600) }),
  fc.record({ do: fc.constant('trim' as const), each: size(1, 12) }),
);

/** A cane of chance steps, without those that cannot be done; pieces are cut before they are joined. */
const cane = fc.tuple(begin, fc.array(then, { maxLength: 4 })).map(([first, rest]): Step[] => {
  const context = contextOf();
  let done = runSteps(steps(first), context);
  for (const [i, next] of rest.entries()) {
    for (const tried of [
      [next],
      [{ do: 'across', pieces: 12 } as const, next],
      [{ do: 'press', to: { shape: 'square' }, turn: 0 } as const, { do: 'across', pieces: 12 } as const, next],
    ]) {
      const all = runSteps(
        [...done.map((r) => r.step), ...tried.map((s, k) => ({ ...s, id: `n${i}${k}` }) as Step)],
        context,
        done,
      );
      if (all.every((r) => r.wrong === null)) {
        done = all;
        break;
      }
    }
  }
  return done.map((r) => r.step);
});
/** Made once: what is checked of them takes long enough. */
const CANES = fc.sample(cane, { numRuns: 16, seed: 20261127 });
/** Steps after which a cane is as long as its pieces were. */
const ALONE: readonly Step['do'][] = [
  'press',
  'squeeze',
  'turn',
  'mirror',
  'split',
  'across',
  'wrap',
  'reduce',
  'pie',
  'pair',
];

const worked = (list: readonly Step[]): { readonly state: CaneState; readonly context: CaneContext } => {
  const context = withEnds(0);
  return { state: runSteps(list, context).at(-1)?.state as CaneState, context };
};
const sum = (amounts: ReadonlyMap<unknown, number>): number => [...amounts.values()].reduce((a, b) => a + b, 0);
const WANTED = { slices: 25, thickness: 2 };
const withEnds = (share: number): CaneContext => contextOf(undefined, 0, 1, { share, trimming: 'at every reduction' });

describe('any cane at all', () => {
  test('shows in its face the clay that was put in, and only that', () => {
    for (const list of CANES) {
      const { state, context } = worked(list);
      const area = areaOf(state.outline);
      expect(sum(state.amounts) / area).toBeCloseTo(1, 6);
      const shown = measured(state.sample, state.outline);
      for (const [index, amount] of shown) {
        expect(context.materials[index]).toBeDefined();
        expect(Math.abs(amount - (state.amounts.get(index) ?? 0)) / area).toBeLessThan(0.02);
      }
    }
  });

  test('planned backwards, has all clay that goes in either in its slices or in what is left over', () => {
    for (const list of CANES) {
      const plan = planBackwards(list, WANTED, withEnds(0.6));
      const slices = areaOf(last(list, withEnds(0.6)).outline) * WANTED.slices * WANTED.thickness;
      expect(sum(plan.volumes) / (slices + plan.offcuts.reduce((all, o) => all + sum(o.volumes), 0))).toBeCloseTo(1, 6);
      expect(plan.starts.every((s) => s.length > 0 && s.count >= 1)).toBe(true);
      expect(plan.stages).toHaveLength(list.length);
    }
  });

  test('begun as long as is planned, is at every step as long as is planned', () => {
    for (const list of CANES.filter((steps) => steps.slice(1).every((s) => ALONE.includes(s.do)))) {
      const plan = planBackwards(list, WANTED, withEnds(0));
      const own = plan.starts.find((s) => s.path.length === 0);
      const begun = runSteps(
        list.map((s, i) => (i === 0 && 'length' in s ? { ...s, length: own?.length ?? 0 } : s)),
        withEnds(0),
      );
      // one reduced to a length is so long whatever it began with
      if (list.some((s) => s.do === 'reduce' && s.to === 'length')) continue;
      begun.forEach((r, i) => {
        expect(r.state?.length).toBeCloseTo(plan.stages[i]?.length ?? 0, 6);
      });
    }
  });

  test('is a document that is read again as it was written, with the canes it takes in', () => {
    for (const list of CANES) {
      const program = { version: 1 as const, steps: list };
      expect(readProgram(JSON.parse(JSON.stringify(program)))).toEqual(program);
      const { materials } = usedIn(list);
      const written = writeCane({
        name: 'Row of beans',
        program,
        canes: {},
        materials: Object.fromEntries(materials.map((key) => [key, { name: key.slice(-1), hexes: ['4F7F45'] }])),
        slices: 25,
        sliceMm: 2,
      });
      const read = readCane(written);
      expect([read.name, read.slices, read.sliceMm]).toEqual(['Row of beans', 25, 2]);
      const again = standAlone(read, (key) => key);
      expect(areaOf(worked(again.steps).state.outline)).toBeCloseTo(areaOf(worked(list).state.outline), 9);
    }
  });

  test('can be judged and painted; nothing is painted beyond its edge', () => {
    const material: JudgedMaterial = {
      lab: { l: 50, a: 10, b: 0 },
      hides: 0.3,
      bakes: [{ bakeC: 130, maxC: 150 }],
      old: false,
      crumbly: false,
    };
    for (const list of CANES) {
      const { state, context } = worked(list);
      const { warnings } = judge(
        runSteps(list, context),
        context.materials.map((_, i) => ({ ...material, lab: { l: 10 + 25 * i, a: 10, b: 0 } })),
        context,
      );
      expect(warnings.every((w) => typeof w.kind === 'string')).toBe(true);
      const frame = frameOf(state.outline, 40);
      const pixels = smoothRows(
        state,
        context.materials.map((_, i) => Uint8Array.from([30 * i, 0, 0])),
        frame,
        { from: 0, to: 40 },
        1,
      );
      const [reach, opaque] = [reachOf(state.outline), [...pixels].filter((v, i) => i % 4 === 3 && v > 0).length];
      // as many pixels as the face has area, to its edge
      const area = areaOf(state.outline) / frame.mm ** 2;
      expect(Math.abs([...pixels].reduce((all, v, i) => all + (i % 4 === 3 ? v / 255 : 0), 0) / area - 1)).toBeLessThan(
        0.06,
      );
      expect(opaque).toBeGreaterThanOrEqual(Math.floor(area * 0.95));
      const [right, top] = [frame.left + 39 * frame.mm, frame.top];
      if (beyond(reach, right, top) > 1.1) expect(pixels[4 * 39 + 3]).toBe(0);
    }
  });

  test('begun smaller, has the same face at its end', () => {
    fc.assert(
      fc.property(fc.constantFrom(...CANES), size(0.6, 0.95), fc.nat(99), (list, factor, seed) => {
        const ended: Step[] = [
          ...list,
          { id: 'end', do: 'reduce', to: 'diameter', value: acrossOf(worked(list).state.outline) * 0.5 },
        ];
        const [one, other] = [worked(ended).state, worked(begunAt(ended, factor)).state];
        expect(acrossOf(other.outline) / acrossOf(one.outline)).toBeCloseTo(1, 9);
        expect(other.length / one.length / factor ** 2).toBeCloseTo(
          1,
          list.some((s) => s.do === 'reduce' && s.to === 'length') ? -1 : 2,
        );
        const same = within(one.outline, 120, seed).filter(
          ([x, y]) => Math.floor(one.sample(x, y)) === Math.floor(other.sample(x, y)),
        ).length;
        expect(same).toBeGreaterThan(105);
      }),
      { numRuns: 15 },
    );
  });
});
