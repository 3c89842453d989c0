import fc from 'fast-check';
import { bakeLoads, loadItem, type BakeItem } from '#core/batch';
import { minutesFor } from '#core/clay';
import { cutterArea, cutterBox, cutterOfSize, checkCutter, showCutter } from '#core/cutter';
import { FIRMNESSES, strengthOf, type Line } from '#core/clay';
import type { Book } from '#core/mix';

const firmness = fc.constantFrom(...FIRMNESSES);

const line: fc.Arbitrary<Line> = fc.record({
  id: fc.constantFrom('a', 'b', 'c'),
  name: fc.constant('Line'),
  firmness,
  density: fc.constant(1.9),
  bakeC: fc.integer({ min: 100, max: 150 }),
  bakeMinutes: fc.integer({ min: 10, max: 60 }),
  bakePerMm: fc.integer({ min: 3, max: 10 }),
  maxC: fc.integer({ min: 150, max: 180 }),
});
const item: fc.Arbitrary<BakeItem> = fc.record({
  pieceId: fc.uuid(),
  count: fc.integer({ min: 1, max: 50 }),
  mm: fc.double({ min: 0.4, max: 30, noNaN: true }),
  lines: fc.array(fc.constantFrom('a', 'b', 'c'), { minLength: 1, maxLength: 4 }),
  box: fc.constant({ width: 20, height: 20 }),
  alone: fc.constantFrom(null, 'light' as const),
});

describe('baking', () => {
  test('every piece goes into one load, never too hot for any of its lines, never too short for its thickness', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(line, { selector: (l) => l.id, minLength: 3, maxLength: 3 }),
        fc.array(item, { minLength: 1, maxLength: 10 }),
        (lines, items) => {
          const book: Book = {
            line: (id) => lines.find((l) => l.id === id),
            clay: () => undefined,
            recipe: () => undefined,
            nameOf: () => '',
          };
          const loads = bakeLoads(
            items.map((one) => loadItem(one, book)!),
            null,
          );
          expect(loads.flatMap((l) => l.pieces.map((p) => p.pieceId)).sort()).toEqual(
            items.map((i) => i.pieceId).sort(),
          );
          for (const load of loads) {
            for (const { pieceId } of load.pieces) {
              const own = items.find((i) => i.pieceId === pieceId);
              for (const id of own?.lines ?? []) {
                const packet = lines.find((l) => l.id === id);
                expect(load.celsius).toBeLessThanOrEqual(packet?.maxC ?? 0);
                expect(load.minutes).toBeGreaterThanOrEqual(packet ? minutesFor(packet, own?.mm ?? 0) : Infinity);
              }
            }
          }
          expect(loads.map((l) => l.celsius)).toEqual(loads.map((l) => l.celsius).sort((a, b) => a - b));
        },
      ),
      { numRuns: 60 },
    );
  });
});

test('a cutter fits its box, in its own words', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 1, max: 500, noNaN: true }),
      fc.option(fc.double({ min: 1, max: 500, noNaN: true }), { nil: null }),
      (width, height) => {
        const cutter = cutterOfSize(width, height);
        const box = cutterBox(cutter);
        expect(cutterArea(cutter)).toBeLessThanOrEqual(box.width * box.height + 1e-9);
        expect(cutter.shape).toBe(height === null ? 'round' : 'rectangle');
        expect(() => {
          checkCutter(cutter);
        }).not.toThrow();
      },
    ),
  );
  expect([showCutter(cutterOfSize(18, null), 'metric'), showCutter(cutterOfSize(25.4, 50.8), 'imperial')]).toEqual([
    '18 mm round',
    '1 × 2 in',
  ]);
  for (const wrong of [0, -1, NaN, 501])
    expect(() => {
      checkCutter(cutterOfSize(wrong, null));
    }).toThrow(/between 1 mm \(0\.04 in\) and 500 mm/);
});

test('a strength that was measured goes before the one of its kind', () => {
  expect(strengthOf({ kind: 'translucent', strength: null })).toEqual({ value: 0.06, assumed: true });
  expect(strengthOf({ kind: 'translucent', strength: 0.4 })).toEqual({ value: 0.4, assumed: false });
});
