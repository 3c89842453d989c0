import fc from 'fast-check';
import { cutterOf, cutterOutline, type CutterShape } from '#core/cutter';
import { rectangle, turned, type Outline, type Point } from '#core/outline';
import { largestIn } from '#core/pattern';

const outlineOf = (shape: CutterShape): Outline => ({
  points: cutterOutline(cutterOf({ shape, widthMm: 20, heightMm: shape === 'round' ? 20 : 31 })),
  round: shape === 'round',
});
const ground = fc.record({
  width: fc.integer({ min: 20, max: 200 }),
  height: fc.integer({ min: 20, max: 200 }),
  round: fc.boolean(),
});
type Ground = { readonly width: number; readonly height: number; readonly round: boolean };

const lying = (outline: Outline, sheet: Ground, larger = 1): Point[] => {
  const { times, degrees, x, y } = largestIn(outline, sheet);
  return turned(outline, degrees).points.map(([u, v]): Point => [x + u * times * larger, y + v * times * larger]);
};
const isOn =
  ({ width, height, round }: Ground) =>
  ([x, y]: Point): boolean => {
    const [u, v] = [(2 * x) / width, (2 * y) / height];
    return round ? Math.hypot(u, v) <= 1.004 : Math.max(Math.abs(u), Math.abs(v)) <= 1 + 1e-9;
  };

test('the largest lies on the sheet, and a hair larger it does not', () => {
  const shapes: readonly CutterShape[] = ['round', 'rectangle', 'teardrop', 'oval'];
  fc.assert(
    fc.property(fc.constantFrom(...shapes), ground, (shape, sheet) => {
      const outline = outlineOf(shape);
      expect(lying(outline, sheet).every(isOn(sheet))).toBe(true);
      expect(lying(outline, sheet, 1.02).every(isOn(sheet))).toBe(false);
    }),
    { numRuns: 40 },
  );
});

test('a square in a sheet is as long as its shorter side; in a round one it stands on its corners', () => {
  expect(largestIn(rectangle(1, 1), { width: 80, height: 55, round: false }).times).toBeCloseTo(55, 6);
  expect(largestIn(rectangle(1, 1), { width: 80, height: 80, round: true }).times).toBeCloseTo(80 / Math.SQRT2, 6);
});

test('what is longer than the sheet lies across its corners', () => {
  const { times, degrees } = largestIn(rectangle(10, 0.1), { width: 60, height: 60, round: false });
  expect(Math.abs((degrees % 90) - 45)).toBeLessThan(1);
  expect(times * 10).toBeGreaterThan(82);
});
