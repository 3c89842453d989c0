import fc from 'fast-check';
import { slicesFor, slicesRolled } from '#core/stock';

const passes = fc
  .array(fc.double({ min: 0.3, max: 4, noNaN: true }), { minLength: 1, maxLength: 6 })
  .map((all) => [...all].sort((a, b) => b - a));
const rolled = fc.record({
  along: fc.double({ min: 4, max: 40, noNaN: true }),
  across: fc.double({ min: 4, max: 40, noNaN: true }),
  mm: fc.double({ min: 0.5, max: 4, noNaN: true }),
  backing: fc.double({ min: 0, max: 3, noNaN: true }),
  passes,
  turned: fc.boolean(),
});

test('clay stays the same: area after rolling is volume by thickness, of slice and of backing', () => {
  fc.assert(
    fc.property(rolled, (s) => {
      const after = slicesRolled(s);
      expect((after.along * after.across * after.mm) / (s.along * s.across * s.mm)).toBeCloseTo(1, 9);
      expect(after.mm + after.backing).toBeCloseTo(Math.min(s.mm + s.backing, s.passes.at(-1) ?? Infinity), 9);
      expect(after.growth).toBeGreaterThanOrEqual(1 - 1e-9);
    }),
  );
});

test('fed always the same way it gets longer and no wider; turned, it stays rounder', () => {
  fc.assert(
    fc.property(rolled, (s) => {
      const [straight, turned] = [slicesRolled({ ...s, turned: false }), slicesRolled({ ...s, turned: true })];
      expect(straight.across).toBeCloseTo(s.across, 9);
      expect(straight.growth).toBeCloseTo(turned.growth, 9);
      expect(turned.oval).toBeLessThanOrEqual(straight.oval + 1e-9);
    }),
  );
});

test('slices of 1.5 mm on 1.5 mm, rolled to 2 and to 1 mm: three times the area', () => {
  const slice = { along: 16, across: 16, mm: 1.5, backing: 1.5, passes: [2, 1] };
  expect(slicesRolled({ ...slice, turned: false })).toMatchObject({ along: 48, across: 16, mm: 0.5, oval: 3 });
  const turned = slicesRolled({ ...slice, turned: true });
  // 3 to 2 along, 2 to 1 across
  expect([turned.along, turned.across]).toEqual([expect.closeTo(24, 9), expect.closeTo(32, 9)]);
});

test('as a puzzle by their area, in rows by their boxes, never fewer than cover it', () => {
  fc.assert(
    fc.property(fc.integer({ min: 4, max: 30 }), fc.integer({ min: 20, max: 200 }), (across, side) => {
      const face = { along: across, across, area: (Math.PI / 4) * across ** 2 };
      const sheet = { along: side, across: side };
      const puzzle = slicesFor('puzzle', face, sheet);
      expect(puzzle * face.area).toBeGreaterThanOrEqual(side * side - 1e-6);
      expect((puzzle - 1) * face.area).toBeLessThan(side * side);
      expect(slicesFor('rows', face, sheet)).toBe(Math.ceil(side / across) ** 2);
    }),
  );
});
