import fc from 'fast-check';
import polygonClipping, { type Polygon } from 'polygon-clipping';
import {
  CUTTER_SHAPES,
  checkCutter,
  cutterArea,
  cutterOf,
  cutterOfSize,
  cutterOpening,
  cutterOutline,
  cuttingLayout,
  mostOn,
  plainCutter,
  readCutter,
  sheetLeft,
  showCutter,
  type Cutter,
  type CutterShape,
  type Layout,
} from '#core/cutter';
import { extentOf, signedArea, type Point } from '#core/outline';

const NAMED = CUTTER_SHAPES.filter((s) => s !== 'drawn');
/** A hook: not convex, and no mirror image of itself. */
const HOOK: Cutter = {
  ...{ shape: 'drawn', width: 24, height: 32 },
  points: [
    [0, 0],
    [24, 0],
    [24, 10],
    [10, 12],
    [12, 32],
    [0, 28],
  ],
};
const shape = fc.constantFrom<CutterShape>(...NAMED);
const cutter = fc.oneof(
  fc
    .tuple(shape, fc.double({ min: 8, max: 40, noNaN: true }), fc.double({ min: 0.5, max: 2.5, noNaN: true }))
    .map(([s, width, ratio]): Cutter => ({ shape: s, width, height: s === 'round' ? width : width * ratio })),
  fc.constant(HOOK),
);

/** Where a cut lies: mirrored, turned, moved. */
function placed(c: Cutter, layout: Layout, i: number): Point[] {
  const [cos, sin] = [Math.cos, Math.sin].map((f) => f(((layout.turns[i] ?? 0) * Math.PI) / 180)) as [number, number];
  const flip = layout.flips[i] === 1 ? -1 : 1;
  return cutterOutline(c).map(([x, y]): Point => [
    flip * x * cos - y * sin + (layout.centres[2 * i] ?? 0),
    flip * x * sin + y * cos + (layout.centres[2 * i + 1] ?? 0),
  ]);
}
const asPolygon = (points: readonly Point[]): Polygon => [points.map(([x, y]) => [x, y])];
const areaOf = (polygons: readonly Polygon[]): number =>
  polygons.reduce((sum, [outer]) => sum + Math.abs(signedArea((outer ?? []).slice(0, -1) as Point[])), 0);

/** The nearest that two closed lines come to each other, at their corners. */
function apart(one: readonly Point[], other: readonly Point[]): number {
  let least = Infinity;
  for (const [from, to] of [
    [one, other],
    [other, one],
  ] as const)
    for (const p of from)
      to.forEach((a, i) => {
        const b = to[(i + 1) % to.length] as Point;
        const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
        const t = Math.min(1, Math.max(0, ((p[0] - a[0]) * dx + (p[1] - a[1]) * dy) / (dx * dx + dy * dy || 1)));
        least = Math.min(least, Math.hypot(p[0] - a[0] - t * dx, p[1] - a[1] - t * dy));
      });
  return least;
}

describe('a cutter', () => {
  test('is as wide and as high as it says, in the middle of its box, and has the area of its outline', () => {
    fc.assert(
      fc.property(cutter, (c) => {
        const outline = cutterOutline(c);
        const box = extentOf({ points: outline, round: false });
        expect(box.width).toBeCloseTo(c.width, 6);
        expect(box.height).toBeCloseTo(c.height, 6);
        expect(box.left + box.right).toBeCloseTo(0, 6);
        expect(cutterArea(c) / signedArea(outline)).toBeCloseTo(1, 2);
      }),
    );
  });

  test('a ring is what the round one has more than its opening; a rim is as wide all around', () => {
    expect(cutterArea({ ...cutterOfSize(20, null), rim: 4 })).toBeCloseTo(Math.PI * (100 - 36), 9);
    expect(cutterArea({ ...cutterOfSize(20, 30), rim: 5 })).toBeCloseTo(600 - 200, 9);
    const drop: Cutter = { shape: 'leaf', width: 20, height: 36, rim: 4 };
    const opening = cutterOpening(drop) ?? [];
    const middles = opening.filter(([, y]) => Math.abs(y) < 6);
    for (const p of middles) expect(apart([p], cutterOutline(drop))).toBeCloseTo(4, 1);
  });

  test('what is written of it is read as it was', () => {
    fc.assert(
      fc.property(shape, fc.integer({ min: 6, max: 60 }), fc.integer({ min: 6, max: 60 }), (s, width, high) => {
        const c: Cutter = { shape: s, width, height: s === 'round' ? width : high };
        const before = cutterOfSize(18, null);
        expect(readCutter(showCutter(c, 'metric'), 'metric', before)).toEqual(c);
        expect(cutterOf(plainCutter(c))).toEqual(c);
      }),
    );
  });

  test.each<[string, Partial<Cutter>]>([
    ['20', { shape: 'round', width: 20 }],
    ['teardrop 18 x 30 mm', { shape: 'teardrop', width: 18, height: 30 }],
    ['a 1/2 by 1 in leaf', { shape: 'leaf', width: 12.7, height: 25.4 }],
    ['30 mm half round', { shape: 'half round', width: 30, height: 30 }],
    ['12 × 30', { shape: 'rectangle', width: 12, height: 30 }],
    ['24 mm round, rim 5', { shape: 'round', width: 24, rim: 5 }],
    ['heart', { shape: 'heart', width: 16, height: 22 }],
  ])('%s', (text, wanted) => {
    expect(readCutter(text, 'metric', cutterOfSize(16, 22))).toMatchObject(wanted);
  });

  test('a size alone keeps the shape', () => {
    const petal: Cutter = { shape: 'petal', width: 16, height: 22 };
    expect(readCutter('12 × 30', 'metric', petal)).toEqual({ shape: 'petal', width: 12, height: 30 });
    expect(readCutter('12 × 30 mm rectangle', 'metric', petal)).toEqual(cutterOfSize(12, 30));
    expect(readCutter('20 mm round', 'metric', petal)).toEqual(cutterOfSize(20, null));
  });

  test.each<[string, () => unknown, RegExp]>([
    ['a star', () => readCutter('20 mm star', 'metric', cutterOfSize(9, null)), /"star" is no shape of a cutter/],
    ['a rim as wide as half of it', () => checkCutter({ ...cutterOfSize(10, null), rim: 5 }), /leaves no opening/],
    [
      'a line that crosses itself',
      () =>
        checkCutter({
          ...HOOK,
          points: [
            [0, 0],
            [9, 9],
            [9, 0],
            [0, 7],
          ],
        }),
      /crosses itself/,
    ],
    ['two points', () => checkCutter({ ...HOOK, points: HOOK.points!.slice(2, 4) }), /3 to 2000 points/],
    ['half a millimetre', () => checkCutter(cutterOfSize(0.5, null)), /A cutter/],
    ['larger than its sheet', () => cuttingLayout(HOOK, 1, { width: 20, length: 25, bridge: 1 }), /does not fit/],
  ])('%s is refused', (_, ask, words) => {
    expect(ask).toThrow(words);
  });
});

describe('cuts of any outline', () => {
  const asked = fc.record({
    c: cutter,
    count: fc.integer({ min: 1, max: 40 }),
    width: fc.integer({ min: 90, max: 180 }),
    length: fc.integer({ min: 90, max: 300 }),
    bridge: fc.double({ min: 0.3, max: 3, noNaN: true }),
    pairs: fc.boolean(),
  });

  test('lie on their sheet, as many as asked for, none nearer to another than the bridge', () => {
    fc.assert(
      fc.property(asked, ({ c, count, ...limits }) => {
        const layout = cuttingLayout(c, count, limits);
        expect(layout.perSheet * layout.sheets).toBeGreaterThanOrEqual(count);
        expect(layout.scrap).toBeCloseTo(
          1 - (count * cutterArea(c)) / (layout.width * layout.length * layout.sheets),
          9,
        );
        const outlines = Array.from({ length: Math.min(14, layout.perSheet) }, (_, i) => placed(c, layout, i));
        for (const outline of outlines) {
          const box = extentOf({ points: outline, round: false });
          expect(box.left).toBeGreaterThan(limits.bridge - 1e-3);
          expect(box.bottom).toBeGreaterThan(limits.bridge - 1e-3);
          expect(box.right).toBeLessThan(layout.width - limits.bridge + 1e-3);
          expect(box.top).toBeLessThan(layout.length - limits.bridge + 1e-3);
        }
        outlines.forEach((one, i) => {
          for (const other of outlines.slice(i + 1)) {
            expect(areaOf(polygonClipping.intersection(asPolygon(one), asPolygon(other)))).toBeLessThan(1e-6);
            expect(apart(one, other)).toBeGreaterThan(limits.bridge - 1e-3);
          }
        });
      }),
      { numRuns: 60 },
    );
  });

  test('a piece less never takes more clay, and a sheet holds what it says', () => {
    fc.assert(
      fc.property(asked, ({ c, count, ...limits }) => {
        const size = (n: number): number => {
          const { width, length, sheets } = cuttingLayout(c, n, limits);
          return width * length * sheets;
        };
        expect(size(count)).toBeLessThanOrEqual(size(count + 1) * (1 + 1e-9));
        const most = mostOn(c, limits);
        expect(cuttingLayout(c, most, limits, 1).sheets).toBe(1);
        expect(() => cuttingLayout(c, most + 1, limits, 1)).toThrow();
      }),
      { numRuns: 30 },
    );
  });

  test('half rounds lie back to back, and pairs are one left for each right', () => {
    const limits = { width: 120, length: 200, bridge: 1 };
    const half: Cutter = { shape: 'half round', width: 30, height: 15 };
    const nested = cuttingLayout(half, 24, limits);
    const boxes = 24 * 31 * 16;
    expect(nested.width * nested.length * nested.sheets).toBeLessThan(boxes * 1.02);
    const pairs = cuttingLayout(HOOK, 12, { ...limits, pairs: true });
    expect(Array.from(pairs.flips).reduce((a, b) => a + b, 0)).toBe(6);
    expect(Array.from(cuttingLayout(HOOK, 12, limits).flips).every((f) => f === 0)).toBe(true);
  });

  test('clay of a sheet is its pieces, what fell between, and what is left', () => {
    const sheet = { widthMm: 110, lengthMm: 240 };
    const cuts = [
      { cutter: HOOK, count: 7, bridge: 1.5 },
      { cutter: { shape: 'leaf', width: 14, height: 30, rim: 3 } as Cutter, count: 9, bridge: 1 },
    ];
    const left = sheetLeft(sheet, cuts);
    expect(left.pieces + left.scrap + left.length * sheet.widthMm).toBeCloseTo(110 * 240, 6);
    expect(left.pieces).toBeCloseTo(7 * cutterArea(HOOK) + 9 * cutterArea(cuts[1]!.cutter), 6);
  });
});
