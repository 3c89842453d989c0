import fc from 'fast-check';
import {
  areaOf,
  beyond,
  circle,
  contextOf,
  edgesOf,
  frameOf,
  measured,
  mirrored,
  offset,
  outlineOf,
  paintFace,
  pressOf,
  reachOf,
  rectangle,
  reductionStages,
  runSteps,
  scaled,
  shapeOutline,
  smoothEdges,
  smoothRows,
  throughPress,
  turned,
  type CaneState,
  type Outline,
  type Point,
  type ShapeKind,
  type Step,
} from '#core/cane';
import { last, log, refusal, steps, within, type Loose } from './canes.js';

const volumeOf = (s: CaneState): number => areaOf(s.outline) * s.length * s.count;
const mm = (min: number, max: number): fc.Arbitrary<number> => fc.double({ min, max, noNaN: true });
const shape: fc.Arbitrary<Outline> = fc
  .record({
    kind: fc.constantFrom<ShapeKind>(
      'round',
      'square',
      'rectangle',
      'triangle',
      'teardrop',
      'petal',
      'hexagon',
      'half round',
    ),
    ratio: mm(0.4, 2.4),
    by: mm(0.5, 40),
    turn: mm(-180, 180),
  })
  .map(({ kind, ratio, by, turn }) =>
    turned(
      scaled(
        shapeOutline(
          kind === 'round' || kind === 'square' || kind === 'hexagon' || kind === 'half round'
            ? { shape: kind }
            : { shape: kind, ratio },
        ),
        by,
      ),
      turn,
    ),
  );
describe('outlines', () => {
  test('are counterclockwise about their centroid, whatever was drawn', () => {
    fc.assert(
      fc.property(shape, mm(-50, 50), mm(-50, 50), fc.boolean(), (s, x, y, back) => {
        const drawn = s.points.map(([a, b]): Point => [a + x, b + y]);
        const { outline, moved } = outlineOf(back ? [...drawn].reverse() : drawn);
        expect(areaOf(outline)).toBeCloseTo(areaOf(s), 6);
        expect([moved[0] - x, moved[1] - y].every((d) => Math.abs(d) < 1e-6 * (1 + Math.abs(areaOf(s))))).toBe(true);
        expect(areaOf(mirrored(outline))).toBeCloseTo(areaOf(outline), 9);
      }),
    );
    expect(
      refusal(() =>
        outlineOf([
          [0, 0],
          [1, 1],
          [2, 2],
        ]),
      ),
    ).toBe('cane/outline');
  });

  test('a round one has exactly the area of a circle, and a wrap adds a ring', () => {
    fc.assert(
      fc.property(mm(1, 90), mm(0.1, 6), (d, t) => {
        expect(areaOf(circle(d))).toBeCloseTo((Math.PI * d * d) / 4, 8);
        expect(areaOf(offset(circle(d), t)) / ((Math.PI * (d + 2 * t) ** 2) / 4)).toBeCloseTo(1, 3);
        expect(areaOf(offset(rectangle(d, 2 * d), t))).toBeCloseTo((d + 2 * t) * (2 * d + 2 * t), 6);
      }),
    );
  });

  test('the reach says what lies inside', () => {
    fc.assert(
      fc.property(shape, mm(0.02, 0.97), fc.nat(400), (s, share, pick) => {
        const reach = reachOf(s);
        const [p, q] = [s.points[pick % s.points.length] as Point, s.points[(pick + 1) % s.points.length] as Point];
        const on: Point = [(p[0] + q[0]) / 2, (p[1] + q[1]) / 2];
        expect(beyond(reach, on[0], on[1])).toBeCloseTo(1, 2);
        expect(beyond(reach, on[0] * share, on[1] * share)).toBeLessThan(1);
        expect(beyond(reach, on[0] / share, on[1] / share)).toBeGreaterThan(1);
      }),
    );
    expect(
      refusal(() =>
        reachOf(
          outlineOf([
            [0, 0],
            [10, 0],
            [10, 1],
            [1, 1],
            [1, 9],
            [10, 9],
            [10, 10],
            [0, 10],
          ]).outline,
        ),
      ),
    ).toBe('cane/star');
  });
});

describe('presses', () => {
  test('keep area: of 10,000 random points the Jacobian is within 1 % of 1, but for the corners', () => {
    const kinds: readonly ShapeKind[] = [
      'round',
      'square',
      'rectangle',
      'triangle',
      'teardrop',
      'petal',
      'hexagon',
      'half round',
    ];
    const off: number[] = [];
    for (const [n, kind] of kinds.entries()) {
      for (const [m, other] of kinds.entries()) {
        const before = scaled(shapeOutline({ shape: kind }), 10);
        const press = pressOf(before, shapeOutline({ shape: other }), 15 * m);
        const x = throughPress((px) => px, press);
        const y = throughPress((_, py) => py, press);
        const h = 1e-5;
        off.push(
          ...within(press.outline, 157, 31 * n + m).map(([px, py]) => {
            const [xx, xy] = [(x(px + h, py) - x(px - h, py)) / (2 * h), (x(px, py + h) - x(px, py - h)) / (2 * h)];
            const [yx, yy] = [(y(px + h, py) - y(px - h, py)) / (2 * h), (y(px, py + h) - y(px, py - h)) / (2 * h)];
            return Math.abs(xx * yy - xy * yx - 1);
          }),
        );
      }
    }
    off.sort((a, b) => a - b);
    // corners at the edge are no place for a slope
    expect(off[Math.floor(off.length * 0.985)]).toBeLessThan(0.01);
    expect(off[Math.floor(off.length / 2)]).toBeLessThan(0.001);
  });

  test('stay within the clay, and pressing to its own shape changes nothing', () => {
    fc.assert(
      fc.property(shape, shape, mm(-180, 180), fc.nat(1000), (before, after, turn, seed) => {
        const press = pressOf(before, after, turn);
        expect(areaOf(press.outline)).toBeCloseTo(areaOf(before), 6);
        const reach = reachOf(before);
        for (const [px, py] of within(press.outline, 20, seed)) {
          const at: [number, number] = [
            throughPress((a) => a, press)(px, py),
            throughPress((_, b) => b, press)(px, py),
          ];
          // splines round the way around corners a little
          expect(beyond(reach, at[0], at[1])).toBeLessThan(1.02);
        }
      }),
      { numRuns: 60 },
    );
    // a hair below the first direction
    const hair = pressOf(circle(10), circle(10), 0);
    expect(
      [throughPress((a) => a, hair)(3, -1e-18), beyond(reachOf(circle(10)), 4.9, -1e-18)].every((v) =>
        Number.isFinite(v),
      ),
    ).toBe(true);
    const own = pressOf(rectangle(10, 6), rectangle(20, 12), 0);
    expect(
      [throughPress((a) => a, own)(2, 1), throughPress((_, b) => b, own)(2, 1)].map((v) => Math.round(v * 1e3) / 1e3),
    ).toEqual([2, 1]);
  });
});

describe('steps', () => {
  test('volume is kept by every step but those that add or cut off', () => {
    fc.assert(
      fc.property(
        mm(6, 60),
        mm(20, 200),
        mm(0.2, 0.95),
        fc.integer({ min: 2, max: 9 }),
        mm(0.5, 2),
        (d, l, by, n, factor) => {
          const one = last(steps(log('clay:a', d, l)));
          for (const step of [
            { do: 'reduce', to: 'diameter', value: d * by },
            { do: 'reduce', to: 'length', value: l / by },
            { do: 'press', to: { shape: 'petal' }, turn: 20 },
            { do: 'squeeze', factor },
            { do: 'turn', degrees: 33 },
            { do: 'mirror' },
            { do: 'across', pieces: n },
            { do: 'split', parts: n, degrees: 10 },
          ] as const)
            expect(volumeOf(last(steps(log('clay:a', d, l), step))) / volumeOf(one)).toBeCloseTo(1, 9);
          const four = last(
            steps(
              log('clay:a', d, l),
              { do: 'press', to: { shape: 'square' }, turn: 0 },
              { do: 'across', pieces: 4 },
              { do: 'grid', rows: 2, columns: 2, turns: 'quarter' },
            ),
          );
          expect(volumeOf(four) / volumeOf(one)).toBeCloseTo(1, 9);
          const wrapped = last(steps(log('clay:a', d, l), { do: 'wrap', of: 'clay:b', thickness: 1 }));
          expect(volumeOf(wrapped)).toBeGreaterThan(volumeOf(one));
          expect(volumeOf(last(steps(log('clay:a', d, l), { do: 'trim', each: l * 0.1 }))) / volumeOf(one)).toBeCloseTo(
            0.8,
            9,
          );
        },
      ),
      { numRuns: 12 },
    );
  });

  test('pie, pair, ring and bundle keep the volume of their rods', () => {
    const sum = (list: readonly Step[]): number => volumeOf(last(list));
    expect(
      sum(steps(log(), { do: 'across', pieces: 6 }, { do: 'pie', count: 6, mirrored: true, corner: 0 })) /
        sum(steps(log())),
    ).toBeCloseTo(1, 9);
    expect(
      sum(
        steps(
          log(),
          { do: 'press', to: { shape: 'triangle' }, turn: 0 },
          { do: 'across', pieces: 2 },
          { do: 'pair', turned: 'half' },
        ),
      ) / sum(steps(log())),
    ).toBeCloseTo(1, 9);
    expect(
      sum(steps(log(), { do: 'across', pieces: 7 }, { do: 'bundle', count: 7, to: { shape: 'hexagon' }, seed: 1 })) /
        sum(steps(log())),
    ).toBeCloseTo(1, 9);
    expect(
      sum(steps(log(), { do: 'across', pieces: 8 }, { do: 'ring', count: 8, middle: null })) / sum(steps(log())),
    ).toBeCloseTo(1, 9);
  });

  test('the area law: the innermost tenth of a plug lies within its root', () => {
    const plug = last(
      steps({ do: 'plug', of: 'blend:f', wound: 'rolled', inside: 'first', width: 20, depth: 20, length: 50 }),
    );
    expect(plug.sample(Math.sqrt(0.1) * 10, 0) % 1).toBeCloseTo(0.1, 2);
    const out = last(
      steps({ do: 'plug', of: 'blend:f', wound: 'rolled', inside: 'last', width: 20, depth: 20, length: 50 }),
    );
    expect(out.sample(0, 0) % 1).toBeGreaterThan(0.99);
    const roll = last(
      steps({
        do: 'roll',
        layers: [
          { of: 'clay:a', thickness: 1 },
          { of: 'clay:b', thickness: 2 },
        ],
        rolled: 200,
        length: 40,
      }),
    );
    expect(areaOf(roll.outline)).toBeCloseTo(600, 6);
  });

  test('what cannot be done is said at its step, and nothing after it is worked out', () => {
    const wrong = (...all: readonly Loose[]): string | undefined =>
      runSteps(steps(...all), contextOf()).find((r) => r.wrong)?.wrong?.code;
    expect(wrong(log(), { do: 'reduce', to: 'diameter', value: 30 })).toBe('cane/larger');
    expect(wrong(log(), { do: 'reduce', to: 'length', value: 10 })).toBe('cane/shorter');
    expect(wrong(log('clay:a', 0))).toBe('cane/positive');
    expect(wrong(log(), { do: 'grid', rows: 2, columns: 2, turns: 'none' })).toBe('cane/straight');
    expect(
      wrong(
        log(),
        { do: 'press', to: { shape: 'rectangle', ratio: 2 }, turn: 0 },
        { do: 'across', pieces: 4 },
        { do: 'grid', rows: 2, columns: 2, turns: 'quarter' },
      ),
    ).toBe('cane/quarter');
    expect(
      wrong(
        log(),
        { do: 'press', to: { shape: 'square' }, turn: 0 },
        { do: 'grid', rows: 2, columns: 2, turns: 'none' },
      ),
    ).toBe('cane/pieces');
    expect(wrong(log(), { do: 'trim', each: 40 })).toBe('cane/trim');
    expect(wrong(log(), { do: 'slice', thickness: 90 })).toBe('cane/trim');
    expect(
      wrong(log(), { do: 'insert', part: { steps: steps(log('clay:b', 5)) }, x: 9, y: 0, diameter: 6, degrees: 0 }),
    ).toBe('cane/hole');
    expect(wrong({ do: 'mirror' })).toBe('cane/begin');
    expect(wrong(log(), log())).toBe('cane/begin again');
    expect(wrong({ do: 'cane', part: { ref: 'gone' } })).toBe('cane/missing');
    const results = runSteps(steps(log(), { do: 'trim', each: 90 }, { do: 'mirror' }), contextOf());
    expect(results.map((r) => [r.state !== null, r.wrong !== null])).toEqual([
      [true, false],
      [false, true],
      [false, false],
    ]);
    const self = { version: 1 as const, steps: steps({ do: 'cane', part: { ref: 'own', name: 'Own' } }) };
    expect(
      refusal(() =>
        last(
          self.steps,
          contextOf(() => self),
        ),
      ),
    ).toBe('cane/itself');
  });

  test('a hole has equal area and the outside stays', () => {
    const whole = last(steps(log('clay:a', 30)));
    const set = last(
      steps(log('clay:a', 30), {
        do: 'insert',
        part: { steps: steps(log('clay:b', 8)) },
        x: 4,
        y: 3,
        diameter: 10,
        degrees: 0,
      }),
    );
    expect(set.outline).toEqual(whole.outline);
    expect(set.amounts.get(1)).toBeCloseTo((Math.PI * 100) / 4, -0.3);
    expect([set.sample(4, 3), set.sample(-8, 0)]).toEqual([1, 0]);
  });

  test('honest hands move clay about and neither make nor lose any', () => {
    const list = steps(
      {
        do: 'loaf',
        layers: [
          { of: 'clay:a', thickness: 3 },
          { of: 'clay:b', thickness: 3 },
        ],
        times: 4,
        width: 24,
        length: 60,
      },
      { do: 'reduce', to: 'diameter', value: 12 },
    );
    const [calm, honest] = [
      last(list),
      last(
        list,
        contextOf(() => undefined, 1, 4),
      ),
    ];
    expect(measured(honest.sample, honest.outline).get(0)).toBeCloseTo(
      measured(calm.sample, calm.outline).get(0) ?? 0,
      -0.6,
    );
    const moved = within(calm.outline, 400, 3).filter(([x, y]) => honest.sample(x, y) !== calm.sample(x, y)).length;
    expect(moved).toBeGreaterThan(12);
    expect(moved).toBeLessThan(250);
    const again = last(
      list,
      contextOf(() => undefined, 1, 4),
    );
    expect(within(calm.outline, 50, 5).every(([x, y]) => again.sample(x, y) === honest.sample(x, y))).toBe(true);
  });
});

test('a picture shows what is sampled, coarse or fine, and is clear outside', () => {
  const context = contextOf();
  const state = last(steps(log('clay:a', 20), { do: 'wrap', of: 'clay:b', thickness: 3 }), context);
  const paints = [Uint8Array.from([10, 20, 30]), Uint8Array.from([200, 100, 50])];
  const frame = frameOf(state.outline, 64);
  const [fine, coarse] = [new Uint8ClampedArray(64 * 64 * 4), new Uint8ClampedArray(64 * 64 * 4)];
  paintFace(state, paints, frame, { from: 0, to: 64 }, fine);
  paintFace(state, paints, frame, { from: 0, to: 64 }, coarse, 4);
  const at = (p: Uint8ClampedArray, x: number, y: number): number[] => [
    ...p.subarray(4 * (y * 64 + x), 4 * (y * 64 + x) + 4),
  ];
  expect([at(fine, 32, 32), at(fine, 32, 2), at(fine, 0, 0)[3]]).toEqual([[10, 20, 30, 255], [200, 100, 50, 255], 0]);
  expect([at(coarse, 32, 32), at(coarse, 0, 0)[3]]).toEqual([[10, 20, 30, 255], 0]);
});

test('a smoothed pixel is the mean of what lies in it, thin lines too, and only edges are touched', () => {
  const context = contextOf();
  const list = steps(
    {
      do: 'loaf',
      layers: [
        { of: 'clay:a', thickness: 3 },
        { of: 'clay:b', thickness: 1 },
      ],
      times: 5,
      width: 20,
      length: 60,
    },
    { do: 'turn', degrees: 31 },
  );
  const state = last(list, context);
  const paints = [Uint8Array.from([10, 20, 30]), Uint8Array.from([210, 120, 50])];
  const frame = frameOf(state.outline, 40);
  const pixels = new Uint8ClampedArray(4 * 40 * 40);
  paintFace(state, paints, frame, { from: 0, to: 40 }, pixels);
  const plain = pixels.slice();
  const edges = edgesOf(pixels, frame);
  smoothEdges(state, paints, frame, pixels, edges, 2);
  const reach = reachOf(state.outline);
  for (let at = 0; at < 1600; at++) {
    if (!edges.includes(at)) {
      expect(pixels.subarray(4 * at, 4 * at + 4)).toEqual(plain.subarray(4 * at, 4 * at + 4));
      continue;
    }
    let [red, n] = [0, 0];
    for (let v = 0; v < 8; v++) {
      for (let u = 0; u < 8; u++) {
        const [x, y] = [
          frame.left + ((at % 40) + (u + 0.5) / 8 - 0.5) * frame.mm,
          frame.top - (Math.floor(at / 40) + (v + 0.5) / 8 - 0.5) * frame.mm,
        ];
        if (beyond(reach, x, y) > 1) continue;
        red += paints[Math.floor(state.sample(x, y))]?.[0] ?? 0;
        n++;
      }
    }
    expect(Math.abs((pixels[4 * at] as number) - (n === 0 ? (plain[4 * at] as number) : red / n))).toBeLessThanOrEqual(
      13,
    );
    expect(Math.abs((pixels[4 * at + 3] as number) - (255 * n) / 64)).toBeLessThanOrEqual(16);
  }
  expect(edges.length).toBeGreaterThan(400);
  // painted in strips it is the same picture
  const strips = [
    [0, 7],
    [7, 8],
    [8, 31],
    [31, 40],
  ].map(([from, to]) => smoothRows(state, paints, frame, { from: from as number, to: to as number }, 2));
  expect(Uint8ClampedArray.from(strips.flatMap((s) => [...s]))).toEqual(
    smoothRows(state, paints, frame, { from: 0, to: 40 }, 2),
  );
  expect([...strips.flatMap((s) => [...s])].filter((v, i) => v !== pixels[i]).length).toBeLessThan(
    0.01 * pixels.length,
  );
});

test('a reduction in stages ends where it is to, keeps the volume, and no stage is too much at once', () => {
  fc.assert(
    fc.property(mm(10, 90), mm(0.08, 1), mm(20, 100), (from, by, length) => {
      const stages = reductionStages(from, from * by, length);
      expect(stages.at(-1)?.diameter).toBeCloseTo(from * by, 6);
      stages.forEach((s, i) => {
        expect(s.diameter / (stages[i - 1]?.diameter ?? from)).toBeGreaterThan(0.7499);
        expect(s.length * s.diameter ** 2).toBeCloseTo(length * from * from, 4);
      });
    }),
  );
});
