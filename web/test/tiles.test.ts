import fc from 'fast-check';
import { OVERLAP, clippedLine, tilesOf } from '../src/parts/tiles.js';

const mm = (min: number, max: number): fc.Arbitrary<number> => fc.double({ min, max, noNaN: true });

test('pages cover all of a drawing, each within its room, and overlap where they meet', () => {
  fc.assert(
    fc.property(mm(5, 900), mm(5, 900), mm(40, 190), mm(40, 250), (width, height, w, h) => {
      const tiles = tilesOf(width, height, { width: w, height: h });
      for (const t of tiles)
        expect([t.width <= w + 1e-9, t.height <= h + 1e-9, t.width > 0, t.height > 0]).toEqual([
          true,
          true,
          true,
          true,
        ]);
      const [first] = tiles;
      for (let column = 1; column < (first?.columns ?? 1); column++) {
        const [left, right] = [tiles[column - 1], tiles[column]];
        expect((left?.x ?? 0) + (left?.width ?? 0) - (right?.x ?? 0)).toBeCloseTo(OVERLAP, 9);
      }
      const last = tiles.at(-1);
      expect([(last?.x ?? 0) + (last?.width ?? 0), (last?.y ?? 0) + (last?.height ?? 0)]).toEqual([
        expect.closeTo(width, 6),
        expect.closeTo(height, 6),
      ]);
    }),
  );
  expect(tilesOf(140, 60, { width: 124, height: 150 })).toHaveLength(2);
});

test('of a line only what lies on a page is drawn, and nothing of it is lost', () => {
  const point = mm(-50, 350);
  fc.assert(
    fc.property(point, point, point, point, (x1, y1, x2, y2) => {
      const box = { x: 20, y: 30, width: 120, height: 160 };
      const part = clippedLine([x1, y1, x2, y2], box);
      const inside = (x: number, y: number): boolean =>
        x >= 20 - 1e-6 && x <= 140 + 1e-6 && y >= 30 - 1e-6 && y <= 190 + 1e-6;
      if (part) expect([inside(part[0], part[1]), inside(part[2], part[3])]).toEqual([true, true]);
      for (const t of [0.1, 0.35, 0.6, 0.85]) {
        const [x, y] = [x1 + t * (x2 - x1), y1 + t * (y2 - y1)];
        if (inside(x, y) && x > 20.001 && x < 139.999 && y > 30.001 && y < 189.999) expect(part).not.toBeNull();
      }
    }),
  );
});
