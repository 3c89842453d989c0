import fc from 'fast-check';
import { areaOf, contextOf, runSteps, type ShapeKind, type Step } from '#core/cane';
import {
  AIR,
  lookAt,
  patternContext,
  planArea,
  planPattern,
  readPattern,
  runPattern,
  volumeOf,
  wholeOf,
  within,
  type Body,
  type CutCanes,
  type PatternContext,
  type PatternStep,
  type PatternStepOf,
} from '#core/pattern';
import { refusal, steps } from './canes.js';

const SHAPES: readonly ShapeKind[] = ['round', 'square', 'triangle', 'petal', 'hexagon'];

/** A cane of a core in a coat, pressed to a shape, of clays of its own. */
function caneOf(n: number, shape: ShapeKind, across: number): readonly Step[] {
  return steps(
    { do: 'log', of: `clay:core${n}`, diameter: across, length: 80 },
    { do: 'wrap', of: `clay:coat${n}`, thickness: across / 10 },
    { do: 'press', to: { shape }, turn: 0 },
  );
}
const canesOf = (all: readonly (readonly [ShapeKind, number])[]): CutCanes =>
  Object.fromEntries(all.map(([shape, across], n) => [`cane:c${n}`, { steps: caneOf(n, shape, across), inside: {} }]));

const areaOfCane = (key: string, canes: CutCanes): number => {
  const state = runSteps(canes[key]?.steps ?? [], contextOf()).at(-1)?.state;
  return state ? areaOf(state.outline) : NaN;
};

const GROUND: PatternStepOf<'stack'> = {
  ...{ id: 'g', do: 'stack', width: 90, height: 70 },
  layers: [{ of: 'clay:ground', thickness: 1.5 }],
};
const INLAY: PatternStepOf<'inlay'> = {
  ...{ id: 'i', do: 'inlay', laid: 'rows', columns: 4, rows: 3, turned: 'alike', seed: 1, to: 1.5, along: 'both' },
  slices: [{ of: 'cane:c0', thickness: 1.5, degrees: 0 }],
};
const SLAB: PatternStepOf<'slab'> = {
  ...{ id: 's', do: 'slab', columns: 5, rows: 4, laid: 'rows', turned: 'alike', seed: 1 },
  slices: [{ of: 'cane:c0', thickness: 1.5, degrees: 0 }],
};

const POINTS = 600_000;
/** mm² of each material that is seen from above, at points spread evenly (M. Roberts, 2018). */
function seenAreas(body: Body, context: PatternContext): Map<string, number> {
  const { sample } = lookAt(body, context, { of: 'face' });
  const counts = new Map<string, number>();
  let [u, v, all] = [0.5, 0.5, 0];
  for (let n = 0; n < POINTS; n++) {
    u = (u + 0.7548776662466927) % 1;
    v = (v + 0.5698402909980532) % 1;
    const [x, y] = [(u - 0.5) * body.width, (v - 0.5) * body.height];
    if (!within(body, x, y)) continue;
    all++;
    const key = context.materials[Math.floor(sample(x, y))] ?? 'nothing';
    counts.set(key, (counts.get(key) ?? 0) + 1);
  }
  return new Map([...counts].map(([key, n]) => [key, (n / all) * planArea(body)]));
}

function made(all: readonly PatternStep[], canes: CutCanes, wobble = 0) {
  const context = patternContext(wobble, 1, canes);
  const results = runPattern(all, context);
  const wrong = results.find((r) => r.wrong)?.wrong;
  if (wrong) throw wrong;
  return { body: results.at(-1)?.body as Body, context };
}

/** mm² that a cane's slices are seen on. */
const seenOf = (seen: ReadonlyMap<string, number>, n: number): number =>
  (seen.get(`clay:core${n}`) ?? 0) + (seen.get(`clay:coat${n}`) ?? 0);

const shape = fc.constantFrom(...SHAPES);
const thickness = fc.integer({ min: 5, max: 30 }).map((n) => n / 10);

describe('slices laid edge to edge', () => {
  const slab = fc.record({
    canes: fc.array(fc.tuple(shape, fc.integer({ min: 6, max: 18 })), { minLength: 1, maxLength: 3 }),
    thick: fc.array(thickness, { minLength: 3, maxLength: 3 }),
    columns: fc.integer({ min: 2, max: 5 }),
    rows: fc.integer({ min: 2, max: 4 }),
    laid: fc.constantFrom('rows' as const, 'offset' as const, 'chance' as const),
    turned: fc.constantFrom('alike' as const, 'opposite' as const, 'chance' as const),
    to: fc.double({ min: 0.4, max: 0.99, noNaN: true }),
    along: fc.constantFrom('width' as const, 'length' as const, 'both' as const),
  });

  test('each grows to its clay over the thickness, and clay stays', () => {
    fc.assert(
      fc.property(slab, ({ canes: kinds, thick, to, along, ...laid }) => {
        const canes = canesOf(kinds);
        const slices = kinds.map((_, n) => ({ of: `cane:c${n}`, thickness: thick[n] ?? 1, degrees: 0 }));
        const thin = Math.min(...slices.map((s) => s.thickness));
        const all: PatternStep[] = [
          { ...SLAB, ...laid, slices },
          { id: 'r', do: 'roll', to: to * thin, along },
        ];
        const { body, context } = made(all, canes);
        expect(wholeOf(body.volumes())).toBeCloseTo(volumeOf(body), 3);
        const { starts, taken, given } = planPattern(all, null, canes);
        const sum = (m: ReadonlyMap<string, number>): number => [...m.values()].reduce((a, b) => a + b, 0);
        expect(sum(taken) / sum(given)).toBeCloseTo(1, 6);
        const seen = seenAreas(body, context);
        expect(seen.get('nothing') ?? 0).toBe(0);
        for (const { of, volume, count = 0 } of starts) {
          const n = Number(of.slice(-1));
          expect(volume).toBeCloseTo(count * areaOfCane(of, canes) * (slices[n]?.thickness ?? 0), 6);
          expect(Math.abs(seenOf(seen, n) / (volume / body.thick) - 1)).toBeLessThan(0.005);
        }
      }),
      { numRuns: 8, endOnFailure: true },
    );
  });

  test('a slab of one slice is that slice', () => {
    const canes = canesOf([['square', 12]]);
    const { body } = made([{ ...SLAB, columns: 1, rows: 1 }], canes);
    expect(planArea(body)).toBeCloseTo(areaOfCane('cane:c0', canes), 6);
    expect(body.width).toBeCloseTo(body.height, 6);
  });
});

describe('slices rolled into a sheet', () => {
  const inlay = fc.record({
    canes: fc.array(fc.tuple(shape, fc.integer({ min: 6, max: 14 })), { minLength: 1, maxLength: 2 }),
    thick: thickness,
    ground: thickness,
    to: fc.double({ min: 0.3, max: 1.2, noNaN: true }),
    laid: fc.constantFrom('rows' as const, 'offset' as const, 'scattered' as const),
    columns: fc.integer({ min: 1, max: 4 }),
    rows: fc.integer({ min: 1, max: 3 }),
    turned: fc.constantFrom('alike' as const, 'chance' as const),
    seed: fc.integer({ min: 1, max: 99 }),
    along: fc.constantFrom('width' as const, 'length' as const, 'both' as const),
  });

  test('a slice grows by its stack over the thickness, the ground by its own, and clay stays', () => {
    let there = 0;
    fc.assert(
      fc.property(inlay, ({ canes: kinds, thick, ground, to: share, ...laid }) => {
        const canes = canesOf(kinds);
        const to = share * (thick + ground);
        const slices = kinds.map((_, n) => ({ of: `cane:c${n}`, thickness: thick, degrees: 30 * n }));
        const sheet = { ...GROUND, layers: [{ of: 'clay:ground', thickness: ground }] };
        const all: PatternStep[] = [sheet, { ...INLAY, ...laid, slices, to }];
        const refused = runPattern(all, patternContext(0, 1, canes)).find((r) => r.wrong)?.wrong?.code;
        if (refused === 'pattern/over' || refused === 'pattern/crowded') return;
        there++;
        const { body, context } = made(all, canes);
        const stacked = thick + ground;
        const after = Math.min(to, stacked);
        const seen = seenAreas(body, context);
        const starts = planPattern(all, null, canes).starts.filter((start) => start.what === 'slices');
        let slicesArea = 0;
        for (const { of, count = 0 } of starts) {
          const wanted = (count * areaOfCane(of, canes) * stacked) / after;
          slicesArea += wanted;
          expect(Math.abs(seenOf(seen, Number(of.slice(-1))) / wanted - 1)).toBeLessThan(0.005);
        }
        const low = Math.min(to, ground);
        const clay = slicesArea * after + (planArea(body) - slicesArea) * low;
        expect(clay / wholeOf(body.volumes())).toBeCloseTo(1, 4);
        expect(body.thick).toBeCloseTo(after, 9);
      }),
      { numRuns: 14, endOnFailure: true },
    );
    expect(there).toBeGreaterThan(5);
  });

  test('rolled both ways a round slice stays round, along the width it does not', () => {
    const canes = canesOf([['round', 10]]);
    const boxOf = (along: 'both' | 'width'): number => {
      const { body, context } = made([GROUND, { ...INLAY, columns: 1, rows: 1, along }], canes);
      const { sample } = lookAt(body, context, { of: 'face' });
      const isSlice = (x: number, y: number): boolean => context.materials[Math.floor(sample(x, y))] !== 'clay:ground';
      const reach = (x: number, y: number): number => {
        let far = 0;
        while (isSlice(far * x, far * y)) far += 0.01;
        return far;
      };
      return reach(1, 0) / reach(0, 1);
    };
    expect(boxOf('both')).toBeCloseTo(1, 1);
    // a stack twice as thick as it is rolled to
    expect(boxOf('width')).toBeCloseTo(2, 1);
  });

  test('slices that would lie on each other push each other aside', () => {
    const canes = canesOf([['round', 12]]);
    const places = [-6.1, 6.1].map((x) => ({ kind: 0, x, y: 0, degrees: 0 }));
    const step: PatternStep = { ...INLAY, laid: 'by hand', places, to: 1 };
    const { body, context } = made([GROUND, step], canes);
    const wanted = (2 * areaOfCane('cane:c0', canes) * 3) / 1;
    expect(Math.abs(seenOf(seenAreas(body, context), 0) / wanted - 1)).toBeLessThan(0.005);
  });

  test('rolled to more than the ground, slices stand above it', () => {
    const canes = canesOf([['round', 10]]);
    const { body, context } = made([GROUND, { ...INLAY, columns: 1, rows: 1, to: 2.4 }], canes);
    expect(body.thick).toBeCloseTo(2.4);
    expect(body.field(body.width / 2 - 1, 0, 2)).toBe(AIR);
    expect(context.materials[Math.floor(lookAt(body, context, { of: 'face' }).sample(40, 0))]).toBe('clay:ground');
    expect(body.field(0, 0, 2)).not.toBe(AIR);
  });
});

describe('what cannot be laid', () => {
  const canes = canesOf([['round', 30]]);
  const wrongOf = (...all: readonly PatternStep[]): string =>
    runPattern(all, patternContext(0, 1, canes)).find((r) => r.wrong)?.wrong?.code ?? '';

  test('is told with the reason', () => {
    const small = { ...GROUND, width: 20, height: 20 };
    expect(wrongOf(small, { ...INLAY, columns: 1, rows: 1 })).toBe('pattern/over');
    expect(wrongOf(GROUND, { ...INLAY, laid: 'scattered', columns: 6, rows: 4 })).toBe('pattern/crowded');
    expect(wrongOf({ ...SLAB, slices: [{ of: 'cane:gone', thickness: 1, degrees: 0 }] })).toBe('pattern/cane');
    expect(wrongOf({ ...SLAB, columns: 60, rows: 60 })).toBe('pattern/slices');
    expect(wrongOf({ ...SLAB, slices: [{ of: 'cane:c0', thickness: 0, degrees: 0 }] })).toBe('pattern/positive');
    expect(wrongOf(GROUND, { ...INLAY, to: 0 })).toBe('pattern/positive');
  });

  test('a document with a clay in the place of a cane is refused', () => {
    const program = { version: 1, steps: [{ ...SLAB, slices: [{ of: 'clay:a', thickness: 1, degrees: 0 }] }] };
    expect(refusal(() => readPattern(program))).toBe('pattern/format');
    expect(readPattern({ version: 1, steps: [SLAB] }).steps).toHaveLength(1);
  });
});

test('hands that are honest lay the same number of slices, as large', () => {
  const canes = canesOf([['petal', 12]]);
  const [machine, hands] = [made([GROUND, INLAY], canes), made([GROUND, INLAY], canes, 1)];
  const [one, two] = [machine, hands].map(({ body, context }) => seenOf(seenAreas(body, context), 0));
  expect((one ?? 0) / (two ?? 1)).toBeCloseTo(1, 2);
});

test('what even hands can lay, honest ones can: squares that fill a sheet to its edges', () => {
  const canes = canesOf([['square', 12]]);
  const side = Math.sqrt(areaOfCane('cane:c0', canes));
  const sheet = { ...GROUND, width: 4 * side, height: 3 * side };
  const step: PatternStep = { ...INLAY, columns: 4, rows: 3, to: 1 };
  for (const wobble of [0, 1]) {
    const { body, context } = made([sheet, step], canes, wobble);
    const wanted = 12 * areaOfCane('cane:c0', canes) * 3;
    expect(Math.abs(seenOf(seenAreas(body, context), 0) / wanted - 1)).toBeLessThan(0.005);
  }
});
