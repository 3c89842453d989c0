import fc from 'fast-check';
import { BEAD_SHAPES, beadOf, cracksOf, discOfCutter, discsIn, slicesAround, volumeOfBead } from '#core/stock';

test('a disc of 15 mm at 3 mm is a ball of 10 mm', () => {
  expect(beadOf('round', discOfCutter(15, 3)).width).toBeCloseTo(Math.cbrt(1.5 * 15 ** 2 * 3), 9);
  expect(beadOf('round', discOfCutter(15, 3)).width).toBeCloseTo(10.04, 2);
});

/** Volume of a body that is turned around its hole, by Simpson's rule. @param radius at a place from -1 to 1 */
function turnedBody(length: number, radius: (t: number) => number): number {
  const n = 20_000;
  let sum = 0;
  for (let i = 0; i <= n; i++) {
    const ends = i === 0 || i === n;
    sum += (ends ? 1 : 2 + 2 * (i % 2)) * Math.PI * radius(-1 + (2 * i) / n) ** 2;
  }
  return (sum * length) / (3 * n);
}

test('volumes are those of integration to 1e-9, at every ratio, and the same clay gives every shape', () => {
  const round = (width: number) => (t: number) => (width / 2) * Math.sqrt(Math.max(0, 1 - t * t));
  const cone = (width: number) => (t: number) => (width / 2) * (1 - Math.abs(t));
  fc.assert(
    fc.property(
      fc.constantFrom(...BEAD_SHAPES),
      fc.double({ min: 20, max: 5000, noNaN: true }),
      fc.double({ min: 0.2, max: 4, noNaN: true }),
      (shape, volume, ratio) => {
        const bead = beadOf(shape, volume, ratio);
        const profile = shape === 'bicone' ? cone(bead.width) : round(bead.width);
        expect(turnedBody(bead.length, profile) / volume).toBeCloseTo(1, 8);
        expect(volumeOfBead(bead) / volume).toBeCloseTo(1, 9);
        expect(bead.length / bead.width).toBeCloseTo(shape === 'round' ? 1 : ratio, 9);
      },
    ),
    { numRuns: 40 },
  );
});

test('discs out of a lump leave less than one', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.1, max: 200, noNaN: true }),
      fc.double({ min: 50, max: 900, noNaN: true }),
      (g, v) => {
        const left = (1000 * g) / 1.9 - discsIn(g, 1.9, v) * v;
        expect(left).toBeGreaterThan(-1e-3);
        expect(left).toBeLessThan(v);
      },
    ),
  );
  expect(() => beadOf('oval', 0)).toThrow(/clay of a bead/);
});

test('slices around a core cover it at the middle of the wall, with a tenth over', () => {
  fc.assert(
    fc.property(fc.double({ min: 5, max: 30, noNaN: true }), fc.double({ min: 0.5, max: 3, noNaN: true }), (d, t) => {
      const face = Math.PI * 36;
      const count = slicesAround(d, face, t);
      expect(count * face).toBeGreaterThanOrEqual(1.1 * Math.PI * (d + t) ** 2 - 1e-6);
      expect((count - 1) * face).toBeLessThan(1.1 * Math.PI * (d + t) ** 2);
    }),
  );
});

test('leaf keeps its flakes: stretched to twice its length, half of the clay shows', () => {
  const cracks = cracksOf(2, 1, 1.5);
  expect(cracks).toEqual({ along: { apart: 3, gap: 1.5 }, across: { apart: 1.5, gap: 0 }, shown: 0.5 });
  expect(cracksOf(1, 1).shown).toBe(0);
});
