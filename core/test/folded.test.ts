import fc from 'fast-check';
import { signedArea, type Point } from '#core/outline';
import {
  ORNAMENTS,
  flatSquare,
  foldedAlong,
  foldedSize,
  mostLayers,
  ornamentOf,
  ornamentSteps,
  turnedOver,
  type Crease,
  type Folded,
  type Leaf,
} from '#core/pattern';

const areaOf = (sheet: Folded): number => sheet.reduce((sum, { points }) => sum + Math.abs(signedArea(points)), 0);
const crease: fc.Arbitrary<Crease> = fc.record({
  x: fc.double({ min: -0.6, max: 0.6, noNaN: true }),
  y: fc.double({ min: -0.6, max: 0.6, noNaN: true }),
  degrees: fc.integer({ min: 0, max: 359 }),
  way: fc.constantFrom('over' as const, 'under' as const),
});

/** Where the corners of a leaf lay on the flat sheet. */
function backOf({ points, lay: [a, b, c, d, e, f] }: Leaf): Point[] {
  const whole = a * d - b * c;
  return points.map(([x, y]): Point => {
    const [u, v] = [x - e, y - f];
    return [(d * u - c * v) / whole, (a * v - b * u) / whole];
  });
}

test('a sheet stays whole, however it is folded: no clay comes or goes, and each leaf knows where it came from', () => {
  fc.assert(
    fc.property(fc.array(fc.oneof(crease, fc.constant(null)), { minLength: 1, maxLength: 6 }), (folds) => {
      let now: Folded = flatSquare;
      for (const fold of folds) now = fold ? foldedAlong(now, fold).after : turnedOver(now);
      expect(areaOf(now)).toBeCloseTo(1, 6);
      for (const leaf of now) {
        const [a, b, c, d] = leaf.lay;
        // turned or mirrored, never stretched; the face is up where it was not mirrored
        expect(a * d - b * c).toBeCloseTo(leaf.up ? 1 : -1, 6);
        for (const [x, y] of backOf(leaf)) expect(Math.max(Math.abs(x), Math.abs(y))).toBeLessThanOrEqual(0.5 + 1e-6);
      }
    }),
  );
});

test('a fold in half is two layers with the back inside out, and folded back it is flat again', () => {
  const half: Crease = { x: 0, y: 0, degrees: 90, way: 'over' };
  const { after, flap, moved } = foldedAlong(flatSquare, half);
  expect([mostLayers(after), flap, moved.length]).toEqual([2, 0.5, 1]);
  expect(after.map((leaf) => leaf.up)).toEqual([true, false]);
  expect(foldedSize(after)).toMatchObject({ width: 0.5, height: 1 });
});

describe('ornaments', () => {
  test.each([
    ['parcel', 2, Math.SQRT1_2, 4],
    ['rosette', 4, 0.5, 9],
    ['pod', 4, 1, 4],
    ['leaf fan', 8, 1, 7],
  ] as const)('%s', (name, layers, longer, count) => {
    const steps = ornamentSteps(name);
    expect(steps).toHaveLength(count);
    const last = steps.at(-1)?.after ?? flatSquare;
    expect(mostLayers(last)).toBe(layers);
    expect(areaOf(last)).toBeCloseTo(1, 6);
    const { width, height } = foldedSize(last);
    // a parcel stands on a corner: its box is the square's own
    const side = name === 'parcel' ? Math.max(width, height) * Math.SQRT1_2 : Math.max(width, height);
    expect(side).toBeCloseTo(longer, 1);
    for (const step of steps) expect(areaOf(step.after)).toBeCloseTo(1, 6);
  });

  test('are heavier as the square and as the thickness, and thickest by their layers', () => {
    fc.assert(
      fc.property(fc.constantFrom(...ORNAMENTS), fc.integer({ min: 30, max: 90 }), (name, side) => {
        const one = ornamentOf(name, side, 1, 2);
        expect(one.grams).toBeCloseTo((side * side * 2) / 1000, 9);
        expect(one.thickest).toBe(one.layers);
        expect(ornamentOf(name, side * 2, 1, 2).width).toBeCloseTo(2 * one.width, 9);
        expect(one.wrong === null).toBe(side >= one.least && side <= one.most);
      }),
    );
  });

  test('what is too thick, too thin, too small or too large says so', () => {
    expect(ornamentOf('parcel', 60, 2.5, 2).wrong).toContain('cracks');
    expect(ornamentOf('parcel', 60, 0.3, 2).wrong).toContain('tears');
    expect(ornamentOf('leaf fan', 20, 1, 2).wrong).toContain('is the smallest');
    expect(ornamentOf('parcel', 300, 1, 2).wrong).toContain('sags');
    expect(ornamentOf('parcel', 60, 1, 2).wrong).toBeNull();
    // a thicker sheet wants a larger square
    expect(ornamentOf('rosette', 60, 1.5, 2).least).toBeGreaterThan(ornamentOf('rosette', 60, 0.8, 2).least);
  });
});
