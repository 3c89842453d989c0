import { cutterOfSize } from '#core/cutter';
import fc from 'fast-check';
import { mostPieces, planBatch, type PieceOrder } from '#core/batch';
import { ofClay, type MaterialKey } from '#core/material';
import type { Block, Clay, Line } from '#core/clay';
import type { MaterialBook } from '#core/stock';

const LINE = { id: 'line', name: 'Hearth Firm', density: 1.9, bakeC: 130, bakeMinutes: 30, bakePerMm: 6, maxC: 150 };
const CLAYS = ['chalk', 'soot'].map((id) => ({
  ...{ id, lineId: 'line', name: id, kind: 'opaque', rawHex: 'F1EEE4', bakedHex: 'F1EEE4', strength: null },
}));
const book: MaterialBook = {
  line: () => LINE as unknown as Line,
  clay: (id) => CLAYS.find((c) => c.id === id) as unknown as Clay | undefined,
  recipe: () => undefined,
  nameOf: () => '',
  made: (id) => (id === 'lump' ? { name: 'Old chalk', of: ofClay('chalk') } : undefined),
};
const block = (clayId: string, leftGrams: number): Block =>
  ({ id: clayId, clayId, netGrams: 57, leftGrams, madeOn: null, dateCode: '', price: null }) as Block;
const piece = (id: string, count: number, ...of: readonly PieceOrder['layers'][number]['of'][]): PieceOrder => ({
  ...{ id, name: id, count, spare: 0, bridgeMm: 2, sheetWidthMm: 110, sheetLengthMm: 200 },
  cutter: cutterOfSize(18, null),
  layers: of.map((one) => ({
    ...{ of: one, machineName: 'roller', settingLabel: '4', mm: 1.5, assumed: false, rollerWidthMm: 145 },
  })),
});
const given = (pieces: readonly PieceOrder[], chalk: number, soot: number, lump = 0) => ({
  ...{ pieces, book, measuring: { discVolume: null } },
  blocks: [block('chalk', chalk), block('soot', soot)],
  there: new Map<MaterialKey, number>([['made:lump', lump]]),
});
const LUMP = { kind: 'made', id: 'lump' } as const;
const left = fc.double({ min: 0, max: 200, noNaN: true });

test('is as many as are not short, and one more is; what runs out first is named', () => {
  fc.assert(
    fc.property(left, left, fc.integer({ min: 1, max: 20 }), (chalk, soot, others) => {
      const input = given([piece('drop', 3, ofClay('chalk')), piece('stud', others, ofClay('soot'))], chalk, soot);
      const { count, runsOut } = mostPieces(input, 'drop');
      const short = (n: number): number =>
        planBatch({ ...input, pieces: [{ ...input.pieces[0]!, count: n }, input.pieces[1]!] }).clays.reduce(
          (sum, c) => sum + c.short,
          0,
        );
      if (count > 0) expect(short(count)).toBe(0);
      expect(short(count + 1)).toBeGreaterThan(0);
      const others2 = planBatch({ ...input, pieces: [input.pieces[1]!] }).clays[0]?.short ?? 0;
      expect(runsOut).toMatch(others2 > 0 ? /^clay:/ : /^clay:chalk$/);
    }),
    { numRuns: 40 },
  );
});

test('a lump gives so many, whatever is on the shelf', () => {
  const input = given([piece('drop', 3, LUMP, ofClay('soot'))], 200, 190, 20);
  const { count, runsOut } = mostPieces(input, 'drop');
  expect(runsOut).toBe('made:lump');
  // 20 g at 1.5 mm and 1.9 g/cm³ are 7018 mm² of sheet: more than its circles, fewer than squares of 20 mm would be
  expect(count).toBeGreaterThan(10);
  expect(count).toBeLessThan(7018 / ((Math.PI / 4) * 18 * 18));
  expect(mostPieces(given([piece('drop', 3, LUMP)], 0, 0, 0), 'drop')).toEqual({ count: 0, runsOut: 'made:lump' });
});

test('where nothing runs out, it is as many as a batch takes', () => {
  expect(mostPieces(given([piece('drop', 3, LUMP)], 0, 0, 1e6), 'drop')).toEqual({ count: 4000, runsOut: null });
});
