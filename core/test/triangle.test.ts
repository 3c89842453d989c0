import fc from 'fast-check';
import { hexOf, mixPigments, pigmentOf, xyzOfLab } from '#core/colour';
import { makeablePoints, nextPoint, triangleHeight, trianglePicture, unitsOf, type Corners } from '#core/mix';

const hex = fc.integer({ min: 0x101010, max: 0xefefef }).map((n) => n.toString(16).padStart(6, '0'));
const corners: fc.Arbitrary<Corners> = fc
  .tuple(hex, hex, hex, fc.constantFrom(1, 0.2, 3))
  .map(([a, b, c, s]) => [pigmentOf(a, 1), pigmentOf(b, s), pigmentOf(c, 1)] as const);

test(
  'makeable points: each ratio once, inside the triangle, of up to eight whole parts, with the colour ' + 'they give',
  () => {
    fc.assert(
      fc.property(corners, (c) => {
        const points = makeablePoints(c);
        expect(new Set(points.map((p) => `${p.x.toFixed(9)} ${p.y.toFixed(9)}`)).size).toBe(points.length);
        for (const p of points) {
          expect(unitsOf(p.units)).toBeLessThanOrEqual(8);
          expect(p.x).toBeGreaterThanOrEqual(-1e-12);
          expect(p.x + (1 - p.y) / 2).toBeLessThanOrEqual(1 + 1e-12);
          expect(hexOf(xyzOfLab(p.lab))).toBe(hexOf(mixPigments(c, p.units)));
        }
      }),
      { numRuns: 5 },
    );
  },
);

test('the picture shows at each point the colour of the mix there, and nothing outside', () => {
  fc.assert(
    fc.property(corners, (c) => {
      const width = 96;
      const height = triangleHeight(width);
      const picture = trianglePicture(c, width);
      expect(picture).toHaveLength(4 * width * height);
      expect([picture[3], picture[4 * (width - 1) + 3]]).toEqual([0, 0]);
      for (const p of makeablePoints(c).filter(({ units }) => units.every((u) => u > 1))) {
        const at = 4 * (Math.floor(p.y * height) * width + Math.floor(p.x * width));
        const wanted = parseInt(hexOf(xyzOfLab(p.lab)), 16);
        [wanted >> 16, (wanted >> 8) & 255, wanted & 255].forEach((v, k) => {
          expect(Math.abs((picture[at + k] ?? 0) - v)).toBeLessThan(12);
        });
      }
    }),
    { numRuns: 8 },
  );
});

test('arrow keys reach every corner and stop there', () => {
  const points = makeablePoints([pigmentOf('7B1E4B', 1), pigmentOf('F1EEE4', 1), pigmentOf('4F7F45', 1)]);
  fc.assert(
    fc.property(
      fc.nat(points.length - 1),
      fc.constantFrom(
        ...([
          [0, -1, '1,0,0'],
          [-1, 0, ''],
          [1, 0, ''],
        ] as const),
      ),
      (start, [dx, dy, end]) => {
        let at = points[start] as (typeof points)[number];
        for (let step = 0; step < 80; step++) {
          const next = nextPoint(points, at, dx, dy);
          if (next === at) break;
          expect((next.x - at.x) * dx + (next.y - at.y) * dy).toBeGreaterThan(0);
          at = next;
        }
        expect(nextPoint(points, at, dx, dy)).toBe(at);
        if (end !== '') expect(at.units.join()).toBe(end);
      },
    ),
  );
});
