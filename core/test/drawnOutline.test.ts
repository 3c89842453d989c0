import fc from 'fast-check';
import { areaOf, drawnOf, drawnToRegions, outlineOf, signedArea, type DrawnRegion, type Point } from '#core/cane';
import { last, steps, type Loose } from './canes.js';

const box = (name: string, left: number, top: number, width: number, height: number): DrawnRegion => ({
  name,
  hex: '4F7F45',
  points: [
    [left, top],
    [left + width, top],
    [left + width, top + height],
    [left, top + height],
  ],
});
const leaf: DrawnRegion = {
  name: 'leaf',
  hex: '93B84C',
  points: Array.from({ length: 40 }, (_, i): Point => [
    50 + 50 * Math.cos((i * Math.PI) / 20),
    30 + 30 * Math.sin((i * Math.PI) / 20),
  ]),
};
const drawn = (...regions: readonly DrawnRegion[]) => drawnOf(regions, 40, 0.01, []);
const area = (points: readonly Point[]): number => Math.abs(signedArea(points));

describe('the outline of a drawing', () => {
  test('is its largest closed line, whatever lies in it', () => {
    const { regions, notes } = drawn(leaf, box('vein', 20, 28, 60, 4));
    expect(regions.map((r) => r.name)).toEqual(['leaf', 'vein']);
    // 40 mm wide, as an ellipse of 40 × 24
    expect(area(regions[0]?.points ?? [])).toBeCloseTo((Math.PI * 40 * 24) / 4, -1);
    expect(notes).toEqual([]);
  });

  test('goes around what juts out over it', () => {
    const { regions } = drawn(leaf, box('stalk', 90, 28, 30, 4));
    const [ground, stalk] = regions;
    const width = (points: readonly Point[]): number =>
      Math.max(...points.map((p) => p[0])) - Math.min(...points.map((p) => p[0]));
    expect(width(ground?.points ?? [])).toBeCloseTo(40, 6);
    expect(stalk?.name).toBe('stalk');
    // 40 mm for 120: the stalk is 10 × 1.33, and a hair less than a third of it lies on the leaf
    expect(area(ground?.points ?? [])).toBeCloseTo((Math.PI * 100 * 60) / 4 / 9 + (20 * 4) / 9, -1);
  });

  test('keeps what was drawn before it beneath it', () => {
    const { regions } = drawn(box('stalk', 90, 28, 30, 4), leaf);
    expect(regions.map((r) => r.name)).toEqual(['ground', 'stalk', 'leaf']);
  });

  test('is a rectangle where not all hangs together, or where it folds back on itself, and says so', () => {
    expect(drawn(leaf, box('crumb', 130, 0, 10, 10)).notes.join()).toMatch(/hangs together/);
    const hook: DrawnRegion = {
      name: 'hook',
      hex: '4F7F45',
      points: [
        [0, 0],
        [100, 0],
        [100, 80],
        [80, 80],
        [80, 10],
        [0, 10],
      ],
    };
    expect(drawn(hook).notes.join()).toMatch(/folds back/);
  });

  test('can be made a cane of, and everything in it is seen', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 60 }), fc.integer({ min: 4, max: 30 }), (left, wide) => {
        const { regions } = drawn(leaf, box('patch', left, 25, wide, 10));
        const keys: Readonly<Record<string, string>> = { '93B84C': 'clay:leaf', '4F7F45': 'clay:patch' };
        const template: Loose = {
          do: 'template',
          regions: drawnToRegions({ regions, notes: [] }, (hex) => keys[hex] ?? ''),
          length: 30,
        };
        const state = last(steps(template));
        expect(areaOf(state.outline)).toBeCloseTo(areaOf(outlineOf(regions[0]?.points ?? []).outline), 6);
        expect(state.amounts.get(1) ?? 0).toBeCloseTo(area(regions[1]?.points ?? []), -1);
      }),
      { numRuns: 20 },
    );
  });
});
