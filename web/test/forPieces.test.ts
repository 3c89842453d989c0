import fc from 'fast-check';
import { machines } from '#demo';
import { thicknesses } from '#core/sheet';
import type { BlendWantedDto, MachineDto } from '#contract';
import { cutsFor, plannedFor, sheetOfPlan, usualWanted } from '../src/stations/blends/forPieces.js';
import { rolledOn } from '../src/stations/blends/rolled.js';
import { plan } from './kitchen.js';

const [roller] = machines as readonly [MachineDto, ...MachineDto[]];
const STRAW = plan(['Corn', 'Squash']);
const ROLLED = rolledOn(STRAW, roller);
const settings = thicknesses(roller);
const wanted = fc
  .record({
    count: fc.integer({ min: 1, max: 40 }),
    shades: fc.integer({ min: 1, max: 4 }),
    shows: fc.constantFrom('whole' as const, 'shade' as const),
    along: fc.constantFrom('width' as const, 'height' as const),
    widthMm: fc.integer({ min: 8, max: 30 }),
    heightMm: fc.integer({ min: 8, max: 30 }),
    setting: fc.constantFrom(...settings.slice(1, 6)),
  })
  .map(({ setting, ...rest }): BlendWantedDto => ({ ...usualWanted(ROLLED), ...rest, mm: setting.mm }));

test('a plan for pieces gives just the sheet that they take, cut so that nothing crosses', () => {
  fc.assert(
    fc.property(wanted, (w) => {
      const made = plannedFor(STRAW, w, ROLLED);
      const sheet = sheetOfPlan(made, ROLLED);
      if (!sheet) throw new Error('no sheet');
      expect([made.width, made.height, made.layers]).toEqual([sheet.width, sheet.height, sheet.layers]);
      expect(made.cuts).toHaveLength(1);
      for (const { x, y } of made.cuts[0]!.points) {
        expect(x >= -1e-9 && x <= made.width + 1e-9 && y >= -1e-9 && y <= made.height + 1e-9).toBe(true);
      }
      // planned once more, it stays what it is
      expect(plannedFor(made, w, ROLLED)).toEqual(made);
    }),
  );
});

test('every piece is shown, all the same way round', () => {
  fc.assert(
    fc.property(wanted, (w) => {
      const sheet = sheetOfPlan(plannedFor(STRAW, w, ROLLED), ROLLED)!;
      const { centres, turns, flips } = cutsFor(w, sheet);
      expect([centres.length, turns.length, flips.length]).toEqual([2 * w.count, w.count, w.count]);
      expect(new Set(turns).size).toBe(1);
      expect(turns[0]).toBe(w.along === 'width' ? 0 : 90);
    }),
  );
});

test('the setting that is asked for first is one of the machine, near a millimetre and a half', () => {
  const { mm } = usualWanted(ROLLED);
  expect(settings.map((s) => s.mm)).toContain(mm);
  expect(Math.abs(mm - 1.5)).toBeLessThan(0.3);
  expect(usualWanted(rolledOn(STRAW, undefined)).mm).toBe(1.5);
});

test('a plan that is for no pieces has no such sheet', () => {
  expect(sheetOfPlan(STRAW, ROLLED)).toBeNull();
});
