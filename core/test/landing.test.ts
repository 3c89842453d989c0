import fc from 'fast-check';
import { SHAPES, landingsOf, outlineOf, shapeOutline, sideTowards, type Outline, type Step } from '#core/cane';
import { circle, cornersOf, rectangle } from '../src/cane/outlines/index.js';

const press = (shape: string, turn = 0): Step => ({ id: 'p', do: 'press', to: { shape }, turn }) as Step;
const apart = (one: number, other: number): number => {
  const off = Math.abs(one - other) % 360;
  return Math.min(off, 360 - off);
};
const regular = (corners: number): Outline =>
  outlineOf(
    Array.from({ length: corners }, (_, i) => {
      const t = (2 * Math.PI * i) / corners;
      return [10 * Math.cos(t), 10 * Math.sin(t)] as const;
    }),
  ).outline;

describe('corners that a hand feels', () => {
  test.each([3, 4, 5, 6, 8])('a figure of %d equal sides has as many', (corners) => {
    expect(cornersOf(regular(corners))).toHaveLength(corners);
  });

  test.each([
    ['round', 0],
    ['square', 4],
    ['rectangle', 4],
    ['triangle', 3],
    ['hexagon', 6],
    ['half round', 2],
    ['teardrop', 1],
    ['petal', 0],
  ] as const)('%s has %d', (shape, corners) => {
    expect(cornersOf(shapeOutline({ shape }))).toHaveLength(corners);
  });
});

describe('where the corners of a pressed face come from', () => {
  test('of a round, from where they lie, turned by as much as it was turned', () => {
    fc.assert(
      fc.property(fc.constantFrom('square', 'hexagon'), fc.integer({ min: -180, max: 180 }), (shape, turn) => {
        const landings = landingsOf(circle(20), press(shape, turn));
        expect(landings).toHaveLength(shape === 'square' ? 4 : 6);
        // the middle of the right side is where directions begin: shares of the area are those of the angle there
        for (const { from, to } of landings) expect(apart(to - turn, from)).toBeLessThan(6);
      }),
    );
  });

  test('a square that is pressed to a square keeps its corners, turned by a quarter the next ones', () => {
    const kept = landingsOf(rectangle(20, 20), press('square'));
    for (const { from, to } of kept) expect(apart(from, to)).toBeLessThan(1);
    const next = landingsOf(rectangle(20, 20), press('square', 90));
    for (const { from, to } of next) expect(apart(from + 90, to)).toBeLessThan(1);
  });

  test('other steps have none, and a round has no corners', () => {
    expect(landingsOf(rectangle(20, 20), press('round'))).toEqual([]);
    expect(landingsOf(circle(20), { id: 'r', do: 'reduce', to: 'diameter', value: 10 })).toEqual([]);
  });

  test.each(SHAPES.filter((shape) => shape !== 'drawn'))('of %s they lie on what was the edge', (shape) => {
    for (const { from } of landingsOf(rectangle(24, 12), press(shape))) {
      expect(from).toBeGreaterThanOrEqual(0);
      expect(from).toBeLessThan(360);
      expect(sideTowards(rectangle(24, 12), from)).not.toBeNull();
    }
  });
});
