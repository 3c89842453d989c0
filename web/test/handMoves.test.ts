import fc from 'fast-check';
import { cutterOfSize, handLayout, outlineAt, sheetLeft, type Cutter, type HandPlace } from '#core/cutter';
import { freePlace, kept, moved, wrongWith } from '../src/parts/cutters/handMoves.js';

const GROUND = { width: 100, length: 140 };
const LEAF: Cutter = { shape: 'leaf', width: 14, height: 34 };
const place = fc.record({
  x: fc.double({ min: -50, max: 200, noNaN: true }),
  y: fc.double({ min: -50, max: 200, noNaN: true }),
  degrees: fc.integer({ min: -180, max: 180 }),
});

test('wherever a piece is put, dragged or turned, it stays on the sheet', () => {
  const key = fc.constantFrom('ArrowLeft', 'ArrowRight', 'ArrowUp', 'ArrowDown', 'r', 'R');
  fc.assert(
    fc.property(place, fc.array(fc.tuple(key, fc.boolean()), { maxLength: 12 }), (at, keys) => {
      let now: HandPlace = kept(LEAF, at, GROUND);
      for (const [k, shift] of keys) now = moved(now, k, shift, LEAF, GROUND) ?? now;
      for (const [x, y] of outlineAt(LEAF, now)) {
        expect(x).toBeGreaterThan(-1e-6);
        expect(x).toBeLessThan(GROUND.width + 1e-6);
        expect(y).toBeGreaterThan(-1e-6);
        expect(y).toBeLessThan(GROUND.length + 1e-6);
      }
      expect(wrongWith(LEAF, [now], GROUND)).toBeNull();
    }),
  );
});

test('arrows move by a millimetre, with shift by ten; Delete takes away; other keys mean nothing', () => {
  const at = { x: 50, y: 50, degrees: 0 };
  expect(moved(at, 'ArrowRight', false, LEAF, GROUND)).toEqual({ ...at, x: 51 });
  expect(moved(at, 'ArrowDown', true, LEAF, GROUND)).toEqual({ ...at, y: 40 });
  expect(moved(at, 'r', false, LEAF, GROUND)).toEqual({ ...at, degrees: 15 });
  expect(moved(at, 'Delete', false, LEAF, GROUND)).toBeNull();
  expect(moved(at, 'x', false, LEAF, GROUND)).toBeUndefined();
});

test('one more is put where it lies on no other, until there is no room', () => {
  const ground = { width: 60, length: 40 };
  const round = cutterOfSize(20, null);
  const places: HandPlace[] = [];
  for (let next = freePlace(round, places, ground); next; next = freePlace(round, places, ground)) places.push(next);
  expect(places.length).toBeGreaterThanOrEqual(4);
  expect(wrongWith(round, places, ground)).toBeNull();
});

test('what lies on another or over the edge is said with its number; a plus of two strips too', () => {
  const round = cutterOfSize(20, null);
  const strip = cutterOfSize(60, 6);
  const middle = { x: 50, y: 50, degrees: 0 };
  expect(wrongWith(round, [middle, { ...middle, x: 65 }], GROUND)).toMatch(/Piece 2 lies on piece 1/);
  expect(wrongWith(round, [middle, middle], GROUND)).toMatch(/Piece 2 lies on piece 1/);
  expect(wrongWith(round, [middle, { ...middle, x: 70.001 }], GROUND)).toBeNull();
  expect(wrongWith(strip, [middle, { ...middle, degrees: 90 }], GROUND)).toMatch(/Piece 2 lies on piece 1/);
  expect(wrongWith(round, [{ ...middle, x: 4 }], GROUND)).toMatch(/Piece 1 lies over the edge/);
});

test('what is below the highest piece is used up, and the clay adds up', () => {
  const round = cutterOfSize(20, null);
  const places = [
    { x: 20, y: 20, degrees: 0 },
    { x: 60, y: 35, degrees: 0 },
  ];
  expect(handLayout(round, places, { ...GROUND, bridge: 2 })).toMatchObject({
    pattern: 'hand',
    length: 47,
    perSheet: 2,
  });
  const left = sheetLeft({ widthMm: 100, lengthMm: 140 }, [{ cutter: round, count: 2, bridge: 2, places }]);
  expect(left.length).toBeCloseTo(93, 9);
  expect(left.pieces + left.scrap + left.length * 100).toBeCloseTo(14_000, 6);
});
