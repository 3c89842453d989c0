import fc from 'fast-check';
import {
  STARTING_POINTS,
  TRIMMINGS,
  acrossOf,
  areaOf,
  contextOf,
  learnedEnds,
  measured,
  outlineOf,
  planBackwards,
  runSteps,
  scaled,
  shapeOutline,
  templateState,
  turned,
  usable,
  type BackwardsPlan,
  type CaneContext,
  type EndsRule,
  type Point,
  type ShapeKind,
  type Stage,
  type Step,
} from '#core/cane';
import { COLOURS, last, log, refusal, steps, type Loose } from './canes.js';

const mm = (min: number, max: number): fc.Arbitrary<number> => fc.double({ min, max, noNaN: true });
const sum = (amounts: ReadonlyMap<unknown, number>): number => [...amounts.values()].reduce((a, b) => a + b, 0);
const rule = (share: number, trimming: EndsRule['trimming'] = 'once at the end'): CaneContext =>
  contextOf(undefined, 0, 1, { share, trimming });
const reduce = (value: number): Loose => ({ do: 'reduce', to: 'diameter', value });
const long = (value: number, withEnds?: boolean): Loose => ({
  do: 'reduce',
  to: 'length',
  value,
  ...(withEnds === undefined ? {} : { withEnds }),
});
const square: Loose = { do: 'press', to: { shape: 'square' }, turn: 0 };
const clayIn = (plan: BackwardsPlan): number => sum(plan.volumes);
const offcuts = (plan: BackwardsPlan, why?: string): number =>
  plan.offcuts.filter((o) => why === undefined || o.why === why).reduce((all, o) => all + sum(o.volumes), 0);
const disc = (d: number): number => (Math.PI / 4) * d * d;

describe('ends', () => {
  test('of one reduction: the share of the width that the lengthening spoils, at each end', () => {
    fc.assert(
      fc.property(
        mm(14, 60),
        mm(0.3, 0.98),
        mm(0, 1.4),
        fc.integer({ min: 1, max: 90 }),
        mm(1, 4),
        (d, by, share, slices, t) => {
          const to = d * by;
          const spoilt = share * to * Math.min(1, Math.log(1 / by ** 2) / Math.log(4));
          const plan = planBackwards(steps(log('clay:a', d, 60), reduce(to)), { slices, thickness: t }, rule(share));
          expect(plan.stages[1]?.cut).toBeCloseTo(spoilt, 6);
          expect(plan.starts[0]?.length).toBeCloseTo((slices * t + 2 * spoilt) * by ** 2, 6);
          expect(clayIn(plan)).toBeCloseTo(disc(to) * (slices * t + 2 * spoilt), 3);
        },
      ),
    );
  });

  test(
    'of two reductions: summed up where each is trimmed, the largest and a quarter where both are ' + 'trimmed at once',
    () => {
      const list = steps(log('clay:a', 40, 60), reduce(30), reduce(14));
      const [first, second] = [0.6 * 30 * disc(30) * (Math.log((40 / 30) ** 2) / Math.log(4)), 0.6 * 14 * disc(14)];
      const each = planBackwards(list, { slices: 30, thickness: 2 }, rule(0.6, 'at every reduction'));
      expect(offcuts(each, 'ends')).toBeCloseTo(2 * (first + second), 3);
      const once = planBackwards(list, { slices: 30, thickness: 2 }, rule(0.6));
      expect(offcuts(once, 'ends')).toBeCloseTo(2 * (Math.max(first, second) + Math.min(first, second) / 4), 3);
      expect([once.stages[1]?.cut, (once.stages[2]?.cut ?? 0) > 0]).toEqual([0, true]);
    },
  );

  test('of a cane that was never reduced: what its presses and joins spoil', () => {
    const plan = planBackwards(steps(log('clay:a', 20), square), { slices: 10, thickness: 2 }, rule(0.6));
    expect(offcuts(plan, 'ends')).toBeCloseTo(2 * 0.6 * 20 * 0.25 * disc(20), 3);
    expect(offcuts(planBackwards(steps(log('clay:a', 20)), { slices: 10, thickness: 2 }, rule(0.6)))).toBe(0);
  });

  test('are cut off once where a step of the cane does it', () => {
    const plan = planBackwards(
      steps(log('clay:a', 30), reduce(15), { do: 'trim', each: 11 }),
      { slices: 10, thickness: 2 },
      rule(0.6),
    );
    expect(offcuts(plan, 'ends')).toBeCloseTo(22 * disc(15), 6);
    expect(plan.starts[0]?.length).toBeCloseTo((20 + 22) / 4, 9);
  });

  test('are learned from what was really cut off, beside what it would have been', () => {
    expect(learnedEnds([])).toEqual({ ends: 0.6, from: 0 });
    expect(
      learnedEnds([
        { lostMm: 30, unitMm: 30 },
        { lostMm: 36, unitMm: 40 },
      ]).ends,
    ).toBeCloseTo(0.6 * ((1 / 0.6) * (0.9 / 0.6)) ** (1 / (2 + (0.35 / 0.5) ** 2)), 3);
    const plan = planBackwards(steps(log('clay:a', 40), reduce(20)), { slices: 10, thickness: 2 }, rule(0.9));
    const [, stage] = plan.stages;
    // cut off as planned, the share stays what it was planned with
    expect((2 * (stage?.cut ?? 0)) / (stage?.unitMm ?? 1)).toBeCloseTo(0.9, 12);
  });
});

describe('slices', () => {
  test('come from all pieces, and a cut across at the end takes no more clay than without', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 60 }),
        fc.integer({ min: 2, max: 9 }),
        mm(1, 3),
        (slices, pieces, thickness) => {
          const row: Loose[] = [log('clay:a', 30, 60), reduce(15)];
          const [plain, cut] = [row, [...row, { do: 'across', pieces } as Loose]].map((all) =>
            planBackwards(steps(...all), { slices, thickness }, rule(0.6)),
          ) as [BackwardsPlan, BackwardsPlan];
          expect(cut.pieces * cut.each).toBeGreaterThanOrEqual(slices);
          expect((cut.pieces - 1) * cut.each).toBeLessThan(slices);
          // at most what the equal pieces hold more than is wanted
          expect(clayIn(cut)).toBeLessThan(clayIn(plain) + disc(15) * pieces * thickness);
          if (slices % pieces === 0) expect(clayIn(cut)).toBeCloseTo(clayIn(plain), 4);
          expect(clayIn(cut)).toBeCloseTo(disc(15) * slices * thickness + offcuts(cut), 3);
        },
      ),
    );
  });

  test('of canes that come in eights are shared by eight', () => {
    const eighths = steps(
      log('clay:a', 30, 60),
      { do: 'split', parts: 8, degrees: 0 },
      { do: 'across', pieces: 8 },
      { do: 'pie', count: 8, mirrored: false, corner: 0 },
    );
    const plan = planBackwards(eighths, { slices: 40, thickness: 2 }, rule(0));
    expect([plan.pieces, plan.each]).toEqual([8, 5]);
    expect(offcuts(plan)).toBeCloseTo(0, 6);
  });

  test('a part that ends in several pieces gives them all', () => {
    const halves = {
      name: 'halves',
      steps: steps(
        log('clay:b', 10, 30),
        { do: 'split', parts: 2, degrees: 0 },
        { do: 'press', to: { shape: 'square' }, turn: 0 },
      ),
    };
    const side = acrossOf(last(halves.steps).outline);
    const list = steps(
      { do: 'block', of: 'clay:a', width: side, height: side, length: 40 },
      { do: 'across', pieces: 2 },
      { do: 'grid', rows: 2, columns: 2, turns: 'none', others: [halves] },
    );
    const plan = planBackwards(list, { slices: 10, thickness: 2 }, rule(0));
    expect(offcuts(plan)).toBeCloseTo(0, 6);
    expect(plan.volumes.get('clay:b')).toBeCloseTo(2 * (disc(10) / 2) * 20, 3);
  });
});

describe('reduced to a length', () => {
  test('it is so long without its ends, or with them, and what one begins with follows', () => {
    fc.assert(
      fc.property(
        mm(20, 60),
        mm(30, 90),
        mm(1.3, 9),
        fc.constantFrom(...TRIMMINGS),
        fc.boolean(),
        (d, l, by, trimming, withEnds) => {
          const context = rule(0.6, trimming);
          const asked = l * by + 40;
          const list = steps(log('clay:a', d, l), long(asked, withEnds), { do: 'across', pieces: 4 });
          const plan = planBackwards(list, { slices: 4, thickness: 1 }, context);
          const stage = plan.stages[1] as Stage;
          expect(withEnds ? stage.length : usable(stage)).toBeCloseTo(asked, 5);
          expect(plan.starts[0]?.length).toBeCloseTo(l, 5);
          const { outline } = runSteps(list, context)[1]?.state ?? { outline: shapeOutline({ shape: 'round' }) };
          expect(areaOf(outline) * stage.length).toBeCloseTo(disc(d) * l, 3);
          // as is shown: the pieces of the next step
          expect(usable(plan.stages[2] as Stage)).toBeCloseTo(usable(stage) / 4, 5);
          expect(runSteps(list, context)[2]?.state?.length).toBeCloseTo(usable(stage) / 4, 5);
        },
      ),
    );
  });

  test('more of it is made where one gives too few slices, and it is said where none gives any', () => {
    const list = steps(log('clay:a', 30, 50), long(120));
    const plan = planBackwards(list, { slices: 100, thickness: 2 }, rule(0.6));
    expect([plan.pieces, plan.each]).toEqual([2, 60]);
    expect(offcuts(plan, 'more')).toBeCloseTo(areaOf(last(list, rule(0.6)).outline) * (240 - 200), 2);
    expect(refusal(() => planBackwards(list, { slices: 1, thickness: 121 }, rule(0.6)))).toBe('cane/asked');
    expect(runSteps(steps(log('clay:a', 30, 50), long(20)), rule(0.6))[1]?.wrong?.code).toBe('cane/shorter');
    expect(runSteps(steps(log('clay:a', 30, 50), long(50, true)), rule(0.6))[1]?.wrong).toBeNull();
  });
});

describe('a ruler', () => {
  const at = (shape: ShapeKind, size: number, turn: number): number =>
    acrossOf(turned(scaled(shapeOutline({ shape }), size), turn));
  test('says the side of a square, the flats of a hexagon, the longer side of anything else, however it lies', () => {
    fc.assert(
      fc.property(mm(1, 60), mm(-180, 180), (size, turn) => {
        expect(at('square', size, turn) / (2 * size)).toBeCloseTo(1, 6);
        expect(at('hexagon', size, turn) / (Math.sqrt(3) * size)).toBeCloseTo(1, 6);
        expect(at('rectangle', size, turn) / (4 * size)).toBeCloseTo(1, 6);
        expect(at('round', size, turn) / (2 * size)).toBeCloseTo(1, 6);
        expect(at('triangle', size, turn) / ((2 / Math.sqrt(3)) * size)).toBeCloseTo(1, 6);
      }),
      { numRuns: 30 },
    );
  });

  test('is what a cane is reduced by', () => {
    fc.assert(
      fc.property(
        fc.constantFrom<ShapeKind>('square', 'hexagon', 'rectangle', 'triangle', 'petal', 'half round', 'teardrop'),
        mm(2, 18),
        (shape, to) => {
          expect(
            acrossOf(last(steps(log('clay:a', 30), { do: 'press', to: { shape }, turn: 0 }, reduce(to))).outline),
          ).toBeCloseTo(to, 6);
        },
      ),
      { numRuns: 25 },
    );
    const { outline } = last(steps(log('clay:a', 30), square, reduce(20)));
    expect(areaOf(outline)).toBeCloseTo(400, 6);
  });
});

describe('cut lengthwise', () => {
  const dotted: Loose[] = [
    log('clay:a', 30, 60),
    { do: 'insert', part: { steps: steps(log('clay:b', 6, 60)) }, x: 0, y: 8, diameter: 6, degrees: 0 },
  ];
  const cut = (degrees: number, keep?: number): Loose => ({
    do: 'split',
    parts: 2,
    degrees,
    ...(keep === undefined ? {} : { keep }),
  });

  test('parts that are not alike do not go on as one, unless one of them is chosen, and nothing is lost', () => {
    expect(runSteps(steps(...dotted, cut(0)), contextOf())[2]?.wrong?.code).toBe('cane/unlike');
    const [upper, lower] = [1, 2].map((keep) => last(steps(...dotted, cut(0, keep)))) as [
      ReturnType<typeof last>,
      ReturnType<typeof last>,
    ];
    expect(upper.amounts.get(1)).toBeCloseTo(disc(6), -0.5);
    expect(lower.amounts.get(1)).toBeUndefined();
    expect(areaOf(upper.outline) + areaOf(lower.outline)).toBeCloseTo(disc(30), 1);
    const plan = planBackwards(steps(...dotted, cut(0, 2)), { slices: 10, thickness: 2 }, rule(0.6));
    expect(clayIn(plan) / (areaOf(lower.outline) * 20 + offcuts(plan))).toBeCloseTo(1, 6);
    // the dot goes in whole, and is cut away whole
    expect(plan.volumes.get('clay:b')).toBeCloseTo(disc(6) * (plan.stages[1]?.length ?? 0), -1);
  });

  test('a face that is alike on both sides is shared exactly', () => {
    const halves = last(steps(...dotted, cut(90)));
    expect([halves.count, halves.amounts.get(1)]).toEqual([2, expect.closeTo(disc(6) / 2, 0)]);
    // of a fade it is seen along the fade only
    const fan: Loose = { do: 'plug', of: 'blend:f', wound: 'fan', inside: 'first', width: 20, depth: 20, length: 50 };
    expect(runSteps(steps(fan, cut(90)), contextOf())[1]?.wrong?.code).toBe('cane/unlike');
    expect(last(steps(fan, cut(0))).count).toBe(2);
  });
});

test('a fade in a drawn region holds of each colour what the blend holds', () => {
  const shapes: Point[][] = [
    [
      [0, 0],
      [30, 0],
      [15, 26],
    ],
    [
      [0, 0],
      [30, 0],
      [30, 20],
      [0, 20],
    ],
    [
      [0, 0],
      [40, 4],
      [36, 30],
      [10, 22],
      [-6, 30],
    ],
  ];
  for (const points of shapes) {
    for (const degrees of [0, 37, 90, 200]) {
      const context = contextOf();
      const state = templateState(
        {
          id: 't',
          do: 'template',
          length: 40,
          regions: [{ id: 'r', name: 'ground', points, fill: { blend: 'blend:f', degrees } }],
        },
        [],
        context,
      );
      const halves = { ...state, sample: (x: number, y: number): number => (state.sample(x, y) % 1 < 0.5 ? 0 : 1) };
      expect((measured(halves.sample, outlineOf(points).outline).get(0) ?? 0) / areaOf(state.outline)).toBeCloseTo(
        0.5,
        2,
      );
    }
  }
});

test('starting points end in pieces that are all used', () => {
  for (const { id, steps: of } of STARTING_POINTS) {
    const list: readonly Step[] = of(COLOURS);
    const plan = planBackwards(list, { slices: 40, thickness: 2 }, rule(0.6));
    expect([id, offcuts(plan, 'pieces'), offcuts(plan, 'more')]).toEqual([id, 0, 0]);
  }
});

test('a plug that lies there ready is counted once: as clay that goes in, and as what was made before', () => {
  const plug: Loose = {
    do: 'plug',
    of: 'blend:f',
    wound: 'rolled',
    inside: 'first',
    width: 20,
    depth: 20,
    length: 50,
    made: 'p1',
  };
  const plan = planBackwards(
    steps(plug, { do: 'wrap', of: 'clay:a', thickness: 1 }),
    { slices: 15, thickness: 2 },
    rule(0.6),
  );
  expect(plan.made).toEqual([
    { id: 'p1', length: expect.closeTo(30, 6), volumes: new Map([['blend:f', expect.closeTo(disc(20) * 30, 3)]]) },
  ]);
  expect(plan.volumes.get('blend:f')).toBeCloseTo(disc(20) * 30, 3);
});
