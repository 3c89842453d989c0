import fc from 'fast-check';
import {
  acrossOf,
  areaOf,
  bundleCells,
  circle,
  contextOf,
  diameterOf,
  extentOf,
  measured,
  outlineOf,
  rectangle,
  runSteps,
  scaled,
  shapeOutline,
  signedArea,
  sunflower,
  turned,
  type CaneState,
  type Outline,
  type Point,
  type Program,
  type Region,
  type Then,
} from '#core/cane';
import { seeded } from '#core/units';
import { last, log, refusal, steps, within, type Loose, withoutEnds } from './canes.js';

/** A cane whose face tells where each point of it lay: its x, or its y. */
const probe = (outline: Outline, axis: 0 | 1, count = 1): CaneState => ({
  outline,
  length: 100,
  count,
  sample: (x, y) => (axis === 0 ? x : y),
  amounts: new Map([[0, areaOf(outline)]]),
  reductions: 0,
  spoilt: [],
  endsEach: 0,
});
type Changing = Then extends infer S ? (S extends { readonly id: string } ? Omit<S, 'id'> : never) : never;

/** The share of the clay that goes on after a step. */
function goesOn(step: Changing): number {
  if (step.do === 'split') return 1 / step.parts;
  if (step.do === 'trim') return 1 - (2 * step.each) / 100;
  if (step.do === 'slice') return (Math.floor(100 / step.thickness) * step.thickness) / 100;
  return 1;
}
const after = (state: CaneState, step: Changing, context = withoutEnds()): CaneState => {
  const result = runSteps([...steps(log()), { ...step, id: 's1' } as Then], context, [
    { step: steps(log())[0]!, state, wrong: null },
  ]).at(-1);
  if (result?.wrong) throw result.wrong;
  return result?.state as CaneState;
};
/** A step done to a cane, and from where in it each point of the new face comes. */
function through(
  outline: Outline,
  step: Changing,
  count = 1,
): { readonly state: CaneState; readonly back: (x: number, y: number) => Point } {
  const [xs, ys] = [after(probe(outline, 0, count), step), after(probe(outline, 1, count), step)];
  return { state: xs, back: (x, y) => [xs.sample(x, y), ys.sample(x, y)] };
}
const close = (p: Point, q: Point, by = 1e-9): void => {
  expect(Math.hypot(p[0] - q[0], p[1] - q[1])).toBeLessThan(by);
};
const ink = (name: string): { readonly steps: ReturnType<typeof steps> } => ({
  steps: steps({ do: 'block', of: `clay:${name}`, width: 8, height: 5, length: 100 }),
});

const BOX = rectangle(12, 8);
const SQUARE = rectangle(10, 10);
const CORNERED = outlineOf([
  [0, 0],
  [9, 0],
  [7, 6],
  [1, 5],
]).outline;
/** Every step that changes a piece, with an outline it can be done to and how many pieces it takes. */
const CHANGES: readonly (readonly [Changing, Outline, number])[] = [
  [{ do: 'press', to: { shape: 'hexagon' }, turn: 25 }, CORNERED, 1],
  [{ do: 'squeeze', factor: 1.7 }, CORNERED, 1],
  [{ do: 'turn', degrees: 37 }, CORNERED, 1],
  [{ do: 'mirror' }, CORNERED, 1],
  [{ do: 'split', parts: 4, degrees: 20, keep: 1 }, circle(20), 1],
  [{ do: 'across', pieces: 5 }, CORNERED, 1],
  [{ do: 'reduce', to: 'diameter', value: 4 }, CORNERED, 1],
  [{ do: 'reduce', to: 'length', value: 260 }, CORNERED, 1],
  [{ do: 'trim', each: 7 }, CORNERED, 1],
  [{ do: 'slice', thickness: 3 }, CORNERED, 1],
  [{ do: 'grid', rows: 2, columns: 3, turns: 'mirror' }, BOX, 6],
  [{ do: 'grid', rows: 3, columns: 3, turns: 'quarter' }, SQUARE, 9],
  [{ do: 'pie', count: 7, mirrored: true, corner: 30 }, CORNERED, 7],
  [{ do: 'pair', turned: 'mirror' }, shapeOutline({ shape: 'half round' }), 2],
  [{ do: 'pair', turned: 'half' }, scaled(shapeOutline({ shape: 'triangle' }), 5), 2],
  [{ do: 'ring', count: 6, middle: null }, circle(9), 6],
  [{ do: 'bundle', count: 11, to: { shape: 'hexagon' }, seed: 4 }, circle(6), 11],
];

describe.each(
  CHANGES.map(
    ([step, outline, count]) => [`${step.do} ${JSON.stringify(step).slice(1, 60)}`, step, outline, count] as const,
  ),
)('the step %s', (_, step, outline, count) => {
  const { state, back } = through(outline, step, count);
  const pieces = (s: CaneState): number => areaOf(s.outline) * s.length * s.count;

  test('makes clay neither more nor less, but for what is cut off', () => {
    const before = areaOf(outline) * 100 * count;
    expect(pieces(state) / before).toBeCloseTo(goesOn(step), 9);
  });

  test('carries each point back into the piece it came from, with its area', () => {
    const reduced = step.do === 'reduce' ? areaOf(outline) / areaOf(state.outline) : 1;
    const h = 1e-5 * diameterOf(state.outline);
    const box = extentOf(outline);
    const off = within(state.outline, 300, 5)
      .map(([x, y]) => {
        const [px, py] = back(x, y);
        expect(
          px > box.left - 0.02 * box.width &&
            px < box.right + 0.02 * box.width &&
            py > box.bottom - 0.02 * box.height &&
            py < box.top + 0.02 * box.height,
        ).toBe(true);
        const [e, w, n, s] = [back(x + h, y), back(x - h, y), back(x, y + h), back(x, y - h)];
        const area = Math.abs(((e[0] - w[0]) * (n[1] - s[1]) - (e[1] - w[1]) * (n[0] - s[0])) / (4 * h * h));
        return Math.abs(area / reduced - 1);
      })
      .sort((a, b) => a - b);
    // creases and joints, across which a difference says nothing, are lines: a few points in a hundred. Parts of a
    // split are taken to be the mean
    expect(off[Math.floor(off.length * 0.95)]).toBeLessThan(0.01);
  });
});

describe('where a step brings things', () => {
  test('turn, mirror, squeeze and reduce, to the point', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -180, max: 180, noNaN: true }),
        fc.double({ min: 0.3, max: 3, noNaN: true }),
        fc.nat(200),
        (degrees, factor, seed) => {
          const [p] = within(CORNERED, 1, seed) as [Point];
          const to = turned({ points: [p], round: false }, degrees).points[0] as Point;
          close(through(CORNERED, { do: 'turn', degrees }).back(...to), p);
          close(through(CORNERED, { do: 'mirror' }).back(-p[0], p[1]), p);
          close(through(CORNERED, { do: 'squeeze', factor }).back(p[0] * factor, p[1] / factor), p);
          const k = Math.min(1, factor / 3.1);
          close(
            through(CORNERED, { do: 'reduce', to: 'diameter', value: acrossOf(CORNERED) * k }).back(p[0] * k, p[1] * k),
            p,
          );
          close(through(CORNERED, { do: 'reduce', to: 'length', value: 100 / (k * k) }).back(p[0] * k, p[1] * k), p);
        },
      ),
      { numRuns: 40 },
    );
    expect(through(CORNERED, { do: 'reduce', to: 'length', value: 400 }).state).toMatchObject({
      length: 400,
      count: 1,
      reductions: 1,
    });
  });

  test('trim, across and slice leave the face alone', () => {
    for (const [step, length, count] of [
      [{ do: 'trim', each: 10 }, 80, 1],
      [{ do: 'across', pieces: 4 }, 25, 4],
      [{ do: 'slice', thickness: 30 }, 30, 3],
    ] as const) {
      const { state, back } = through(BOX, step);
      expect([state.length, state.count, state.outline]).toEqual([length, count, BOX]);
      close(back(3, -2), [3, -2]);
    }
  });

  test('a wrap lies around what stays where it was, as thick as its sheet', () => {
    const { state, back } = through(BOX, { do: 'wrap', of: 'clay:w', thickness: 1.5 });
    expect(extentOf(state.outline)).toMatchObject({ width: 15, height: 11 });
    close(back(5.9, -3.9), [5.9, -3.9]);
    // the material's number, not a place
    expect([back(6.1, 0), back(0, 4.1), back(-7.4, -5.4)]).toEqual([
      [0, 0],
      [0, 0],
      [0, 0],
    ]);
    expect(state.amounts.get(0)).toBeCloseTo(96 + (15 * 11 - 96), 9);
  });

  test('the squares of a grid lie where rows and columns say, turned or mirrored as asked', () => {
    const flat = through(BOX, { do: 'grid', rows: 2, columns: 3, turns: 'none' }, 12);
    expect([flat.state.count, flat.state.outline]).toEqual([2, rectangle(36, 16)]);
    close(flat.back(-12 + 1, -4 + 2), [1, 2]);
    close(flat.back(12 + 1, 4 + 2), [1, 2]);
    close(through(BOX, { do: 'grid', rows: 2, columns: 3, turns: 'mirror' }, 6).back(0 + 1, 4 + 2), [-1, -2]);
    close(through(BOX, { do: 'grid', rows: 2, columns: 2, turns: 'half' }, 4).back(6 + 1, -4 + 2), [-1, -2]);
    // a quarter turn counterclockwise brings (x, y) to (-y, x)
    close(through(SQUARE, { do: 'grid', rows: 1, columns: 2, turns: 'quarter' }, 2).back(5 - 2, 1), [1, 2]);
    const board = after(
      { ...probe(rectangle(8, 5), 0, 5), sample: () => 0 },
      { do: 'grid', rows: 3, columns: 3, turns: 'none', others: [ink('b')] },
      { ...contextOf(), materials: ['clay:a'] },
    );
    expect(
      [
        [-8, -5],
        [0, -5],
        [8, 0],
        [0, 0],
        [8, 5],
      ].map(([x, y]) => board.sample(x as number, y as number)),
    ).toEqual([0, 1, 1, 0, 0]);
    expect([board.amounts.get(0), board.amounts.get(1)]).toEqual([5 * 40, 4 * 40]);
  });

  test('a part that was split lies with its tip where the middle was', () => {
    const { state, back } = through(SQUARE, { do: 'split', parts: 4, degrees: 0, keep: 1 });
    expect([state.count, state.outline.points.length]).toEqual([1, 4]);
    close(back(-2.5, -2.5), [0, 0], 1e-6);
    close(back(2.5, 2.5), [5, 5], 1e-6);
    const half = through(SQUARE, { do: 'split', parts: 2, degrees: 90, keep: 1 });
    expect(extentOf(half.state.outline)).toMatchObject({ width: 5, height: 10 });
  });

  test('wedges and pairs meet in the middle, mirrored ones the same on both sides of each joint', () => {
    const { state, back } = through(CORNERED, { do: 'pie', count: 8, mirrored: true, corner: 0 }, 8);
    expect(state.count).toBe(1);
    for (const r of [1, 3, 5]) {
      for (const k of [0, 1, 2, 5]) {
        const [one, other] = [0.99, 1.01]
          .map((d) => (2 * k + d) * (Math.PI / 8))
          .map((a) => back(r * Math.cos(a), r * Math.sin(a))) as [Point, Point];
        close(one, other, 0.3);
      }
    }
    const base = scaled(shapeOutline({ shape: 'half round' }), 4);
    const low = extentOf(base).bottom;
    const two = through(base, { do: 'pair', turned: 'mirror' }, 2);
    expect(extentOf(two.state.outline).height).toBeCloseTo(2 * extentOf(base).height, 6);
    close(two.back(1, 2), [1, 2 + low], 1e-6);
    close(two.back(1, -2), [1, 2 + low], 1e-6);
    close(through(base, { do: 'pair', turned: 'half' }, 2).back(1, -2), [-1, 2 + low], 1e-6);
  });

  test('another cane beside, on top, or set in, and the clay of both', () => {
    const own = { ...probe(rectangle(8, 5), 0), sample: () => 7 };
    const right = after(own, {
      do: 'stack',
      part: { steps: steps({ do: 'block', of: 'clay:b', width: 4, height: 5, length: 60 }) },
      side: 'right',
    });
    expect([right.outline, right.length]).toEqual([rectangle(12, 5), 60]);
    expect([right.sample(1.9, 0), right.sample(2.1, 0)]).toEqual([7, 0]);
    const top = after(own, { do: 'stack', part: ink('b'), side: 'top' });
    expect([top.sample(0, -0.1), top.sample(0, 0.1), top.amounts.get(0)]).toEqual([7, 0, 80]);
    expect(refusal(() => after(own, { do: 'stack', part: { steps: steps(log()) }, side: 'top' }))).toBe(
      'cane/straight',
    );
    expect(
      refusal(() =>
        after(own, {
          do: 'stack',
          part: { steps: steps({ do: 'block', of: 'clay:b', width: 4, height: 6, length: 60 }) },
          side: 'right',
        }),
      ),
    ).toBe('cane/sides');
    const set = after(
      { ...own, outline: circle(40) },
      { do: 'insert', part: ink('b'), x: 6, y: -3, diameter: 10, degrees: 90 },
    );
    const size = 10 / acrossOf(rectangle(8, 5));
    expect([
      set.sample(6, -3),
      set.sample(6 + 2.4 * size, -3),
      set.sample(6 + 2.6 * size, -3),
      set.sample(6, -3 + 3.9 * size),
      set.sample(6, -3 + 4.1 * size),
    ]).toEqual([0, 0, 7, 0, 7]);
  });

  test('rods around another keep it in the middle; rods in a bundle keep their amounts', () => {
    const rods = { ...probe(circle(8), 0, 6), sample: () => 7 };
    const around = after(rods, { do: 'ring', count: 6, middle: { steps: steps(log('clay:m', 8, 100)) } });
    expect([around.sample(0, 0), areaOf(around.outline) / areaOf(circle(8))]).toEqual([0, expect.closeTo(7, 6)]);
    const shown = measured(around.sample, around.outline);
    expect((shown.get(0) ?? 0) / areaOf(circle(8))).toBeCloseTo(1, 1);
    const many = after(
      { ...rods, count: 5 },
      {
        do: 'bundle',
        count: 5,
        others: [{ part: { steps: steps(log('clay:b', 12, 50)) }, count: 3 }],
        to: { shape: 'square' },
        seed: 2,
      },
    );
    const other = measured(many.sample, many.outline).get(0) ?? 0;
    expect([many.length, many.amounts.get(0)]).toEqual([
      50,
      expect.closeTo(5 * areaOf(circle(8)) + 3 * areaOf(circle(12)), 6),
    ]);
    expect(other / (3 * areaOf(circle(12)))).toBeCloseTo(1, 1);
    expect(refusal(() => after(rods, { do: 'ring', count: 7, middle: null }))).toBe('cane/pieces');
    expect(refusal(() => after(rods, { do: 'bundle', count: 301, to: { shape: 'round' }, seed: 1 }))).toBe(
      'cane/count',
    );
  });
});

describe('beginnings', () => {
  const share = (...all: readonly Loose[]): number[] => {
    const state = last(steps(...all));
    const sums = measured(state.sample, state.outline);
    // what is seen in the face is what was put in
    for (const [index, area] of state.amounts) expect((sums.get(index) ?? 0) / area).toBeCloseTo(1, 1);
    return [...state.amounts.values()];
  };
  test('a log, a block, a plug are one material of their size', () => {
    expect(share(log('clay:a', 12))[0]).toBeCloseTo(36 * Math.PI, 9);
    expect(share({ do: 'block', of: 'clay:a', width: 4, height: 7, length: 9 })).toEqual([28]);
    const fan = last(
      steps({ do: 'plug', of: 'blend:f', wound: 'fan', inside: 'first', width: 30, depth: 12, length: 50 }),
    );
    expect([fan.sample(-14.99, 3), fan.sample(0, 0), fan.sample(14.99, -5)]).toEqual([
      expect.closeTo(0, 2),
      expect.closeTo(0.5, 2),
      expect.closeTo(1, 2),
    ]);
    expect(Math.floor(fan.sample(15, 0))).toBe(0);
  });
  test('a roll winds its sheets from the middle, one turn as thick as all of them', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 3, noNaN: true }),
        fc.double({ min: 0.5, max: 3, noNaN: true }),
        fc.integer({ min: 60, max: 400 }),
        (a, b, rolled) => {
          const [one, two] = share({
            do: 'roll',
            layers: [
              { of: 'clay:a', thickness: a },
              { of: 'clay:b', thickness: b },
            ],
            rolled,
            length: 40,
          }) as [number, number];
          expect([one, two]).toEqual([expect.closeTo(a * rolled, 9), expect.closeTo(b * rolled, 9)]);
          const state = last(
            steps({
              do: 'roll',
              layers: [
                { of: 'clay:a', thickness: a },
                { of: 'clay:b', thickness: b },
              ],
              rolled,
              length: 40,
            }),
          );
          const r = diameterOf(state.outline) / 4;
          expect(state.sample(r, 1e-9)).toBe(state.sample(r + a + b, 1e-9));
        },
      ),
      { numRuns: 15 },
    );
  });
  test('a loaf is its stack over and over, from the bottom up', () => {
    const loaf = last(
      steps({
        do: 'loaf',
        layers: [
          { of: 'clay:a', thickness: 1 },
          { of: 'clay:b', thickness: 3 },
        ],
        times: 3,
        width: 10,
        length: 20,
      }),
    );
    expect([-5.5, -4.5, -2.5, -1.5, -0.5, 5.9].map((y) => loaf.sample(0, y))).toEqual([0, 1, 1, 0, 1, 1]);
    expect(
      share({
        do: 'loaf',
        layers: [
          { of: 'clay:a', thickness: 1 },
          { of: 'clay:b', thickness: 3 },
        ],
        times: 3,
        width: 10,
        length: 20,
      }),
    ).toEqual([30, 90]);
  });
  test('a template shows its topmost region, and another cane goes on as it is', () => {
    const square = (id: string, from: number, to: number, of: string): Region => ({
      id,
      name: id,
      points: [
        [from, from],
        [to, from],
        [to, to],
        [from, to],
      ],
      fill: { of },
    });
    const template: Loose = {
      do: 'template',
      regions: [square('ground', 0, 20, 'clay:g'), square('one', 2, 12, 'clay:a'), square('two', 8, 14, 'clay:b')],
      length: 30,
    };
    const state = last(steps(template));
    expect(
      [
        [-9, -9],
        [-4, -4],
        [0, 0],
        [3, 3],
        [9, 9],
      ].map(([x, y]) => state.sample(x as number, y as number)),
    ).toEqual([0, 1, 2, 2, 0]);
    expect(share(template).reduce((a, b) => a + b, 0)).toBeCloseTo(400, 6);
    const program: Program = { version: 1, steps: steps(template, { do: 'turn', degrees: 180 }) };
    const used = last(
      steps({ do: 'cane', part: { ref: 'other' } }),
      contextOf((ref) => (ref === 'other' ? program : undefined)),
    );
    expect([used.sample(9, 9), used.sample(4, 4), used.length]).toEqual([0, 1, 30]);
  });
});

describe('rods squeezed without gaps', () => {
  test(
    'their cells have their areas to 0.01 %, fill the outline, and are convex, also where one is a ' +
      'hundred times another',
    () => {
      const shapes = (['round', 'square', 'hexagon', 'triangle', 'half round'] as const).map((shape) =>
        shapeOutline({ shape }),
      );
      fc.assert(
        fc.property(
          fc.integer({ min: 2, max: 90 }),
          fc.constantFrom(...shapes),
          fc.double({ min: 1, max: 100, noNaN: true }),
          fc.nat(1000),
          (count, shape, most, seed) => {
            const chance = seeded(seed);
            const areas = Array.from({ length: count }, () => 10 * most ** chance());
            const sum = areas.reduce((a, b) => a + b, 0);
            const outline = scaled(shape, Math.sqrt(sum / areaOf(shape)));
            const r = diameterOf(outline) * 0.46;
            const cells = bundleCells(
              outline,
              areas,
              sunflower(count).map(([x, y]): Point => [x * r, y * r]),
            );
            cells.forEach((c, i) => {
              expect(Math.abs(signedArea(c) / (areas[i] as number) - 1)).toBeLessThan(1e-4);
            });
            expect(cells.reduce((all, c) => all + signedArea(c), 0) / sum).toBeCloseTo(1, 9);
            for (const cell of cells) {
              cell.forEach((p, k) => {
                const [q, s] = [cell[(k + 1) % cell.length] as Point, cell[(k + 2) % cell.length] as Point];
                expect((q[0] - p[0]) * (s[1] - q[1]) - (q[1] - p[1]) * (s[0] - q[0])).toBeGreaterThan(-1e-6 * sum);
              });
            }
          },
        ),
        { numRuns: 25 },
      );
    },
  );
});
