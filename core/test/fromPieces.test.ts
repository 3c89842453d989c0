import fc from 'fast-check';
import { placesOnFade, sheetForPieces, type FadePieces, type FadeRollers } from '#core/blend';

const ROLLERS: FadeRollers = { layerMm: 2, widestMm: 3, rollerWidth: 150 };
const pieces = fc.record({
  shows: fc.constantFrom('whole' as const, 'shade' as const),
  count: fc.integer({ min: 1, max: 80 }),
  shades: fc.integer({ min: 1, max: 5 }),
  along: fc.double({ min: 5, max: 40, noNaN: true }),
  across: fc.double({ min: 5, max: 40, noNaN: true }),
  bridge: fc.double({ min: 0, max: 3, noNaN: true }),
  mm: fc.double({ min: 0.6, max: 2, noNaN: true }),
});
const PETAL: FadePieces = { shows: 'whole', count: 12, shades: 1, along: 30, across: 20, bridge: 2, mm: 1.5 };

describe('from the pieces back', () => {
  test('clay stays the same from the layers to the finished sheet, and the layers are in pairs', () => {
    fc.assert(
      fc.property(pieces, (wanted) => {
        const sheet = sheetForPieces(wanted, ROLLERS);
        const cut = sheet.width * sheet.height * sheet.layers * ROLLERS.layerMm;
        expect(cut / (sheet.fade * sheet.length * wanted.mm)).toBeCloseTo(1, 9);
        expect(sheet.layers % 2).toBe(0);
        expect(sheet.height).toBeGreaterThanOrEqual(40);
        expect(sheet.width).toBeLessThanOrEqual(ROLLERS.rollerWidth);
      }),
    );
  });

  test('every piece finds its place on it, none on another; where it shows all of the fade, from pure to pure', () => {
    fc.assert(
      fc.property(pieces, (wanted) => {
        const sheet = sheetForPieces(wanted, ROLLERS);
        const { along, across, bridge, count, shows, mm } = wanted;
        const at = placesOnFade(wanted, sheet);
        for (let i = 0; i < count; i++) {
          const [x, y] = [at[2 * i] ?? NaN, at[2 * i + 1] ?? NaN];
          expect(x + along / 2 + bridge).toBeLessThanOrEqual(sheet.fade + 1e-9);
          expect(y + across / 2 + bridge).toBeLessThanOrEqual(sheet.length + 1e-9);
          for (let k = 0; k < i; k++) {
            const [dx, dy] = [Math.abs(x - (at[2 * k] ?? 0)), Math.abs(y - (at[2 * k + 1] ?? 0))];
            expect(dx >= along + bridge - 1e-9 || dy >= across + bridge - 1e-9).toBe(true);
          }
        }
        if (shows === 'shade') return;
        // what is pure at each end, rolled as thin as the rest, is what lies beside the pieces
        expect((sheet.pure * sheet.fade) / sheet.width).toBeCloseTo(bridge, 9);
        expect(sheet.passMm >= mm).toBe(true);
      }),
    );
  });

  test('twelve petals of 20 × 30 mm at 1.5 mm: 34 × 266 mm, out of two layers of 34 × 99.75 mm at 2 mm', () => {
    const sheet = sheetForPieces(PETAL, ROLLERS);
    expect(sheet).toMatchObject({ width: 34, fade: 34, length: 266, layers: 2, pure: 2, tape: false, passMm: 1.5 });
    expect(sheet.height).toBeCloseTo((266 * 1.5) / (2 * 2), 9);
  });

  test('a fade wider than the rollers is turned and rolled along itself', () => {
    const sheet = sheetForPieces({ ...PETAL, shows: 'shade', shades: 6 }, ROLLERS);
    // six of 30 mm, 2 mm apart: 194 mm, out of 97 mm at 3 mm
    expect(sheet).toMatchObject({ tape: true, fade: 194, width: 97, rows: 2, columns: 6, pure: 0 });
  });

  test.each<[string, Partial<FadePieces>, RegExp]>([
    ['half a piece', { count: 1.5 }, /whole/],
    ['no thickness', { mm: 0 }, /thickness/],
    ['thicker than its folded layers', { mm: 5 }, /cannot end 5 mm thick/],
    ['more shades than a tape can show', { shows: 'shade', shades: 12 }, /for 9 it does/],
    ['a piece longer than that', { along: 400 }, /does not come out/],
  ])('%s is refused', (_, wrong, words) => {
    expect(() => sheetForPieces({ ...PETAL, ...wrong }, ROLLERS)).toThrow(words);
  });
});
