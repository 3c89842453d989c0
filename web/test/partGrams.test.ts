import { planBatch, type AssemblyOrder } from '#core/batch';
import { keyOf, ofClay } from '#core/material';
import { PIECE_MODELS, layPiece, type LaidPart } from '#core/piece';
import type { MaterialBook } from '#core/stock';
import type { AssemblyDto, PlanAnswer } from '#contract';
import { gramsOfPart } from '../src/stations/batches/assembled/partGrams.js';

const book: MaterialBook = {
  clay: (id) => ({ id, lineId: 'l', name: id, kind: 'opaque', rawHex: 'F1EEE4', bakedHex: 'F1EEE4', strength: null }),
  line: (id) => ({
    ...{ id, name: id, firmness: 'firm', density: 1.75, bakeC: 130, bakeMinutes: 30, bakePerMm: 6, maxC: 150 },
  }),
  recipe: () => undefined,
  nameOf: (id) => id,
};
/** Rolled at a setting that is a fifth thicker than was wished. */
const rolling = (mm: number) => ({
  ...{ machineName: 'Bench roller', settingLabel: '4', mm: 1.2 * mm, assumed: false, rollerWidthMm: 145 },
});

function laidOf(at: number): readonly LaidPart[] {
  const { piece } = PIECE_MODELS[at]!;
  const key = keyOf(ofClay('clay'));
  const parts = piece.parts.map((part) => {
    const shape = 'with' in part.shape ? { ...part.shape, with: key } : part.shape;
    return { ...part, of: part.shape.is === 'finding' ? null : key, shape };
  });
  return layPiece({ ...piece, parts }).parts;
}

test.each(PIECE_MODELS.map((m, i) => [m.name, i] as const))(
  '%s: the parts of all pieces, and scrap, are its clay',
  (_, at) => {
    const laid = laidOf(at);
    const order: AssemblyOrder = {
      ...{ id: 'a', name: 'Piece', count: 12, spare: 1, bridgeMm: 2, sheetWidthMm: 110, sheetLengthMm: 200 },
      ...{ laid, thickest: 6, rolling },
    };
    const measuring = { discVolume: null };
    const plan = planBatch({ pieces: [], assemblies: [order], book, blocks: [], measuring }) as unknown as PlanAnswer;
    const assembly = { id: 'a', count: 12, spare: 1 } as AssemblyDto;
    const one = laid.reduce((sum, part) => sum + gramsOfPart(part, assembly, plan), 0);
    expect(13 * one + plan.scrapGrams).toBeCloseTo(plan.totalGrams, 6);
  },
);

test('before it is planned a part weighs what its size says', () => {
  const base = laidOf(0).find(({ part }) => part.name === 'base')!;
  const nothing = { pieces: [], lumps: [], materials: { clay: { density: 2 } } } as unknown as PlanAnswer;
  const grams = gramsOfPart(base, { id: 'a', count: 1, spare: 0 } as AssemblyDto, nothing);
  // a disc of 20 mm, 1.6 mm thick, at 2 g/cm³
  expect(grams).toBeCloseTo((Math.PI * 100 * 1.6 * 2) / 1000, 3);
});
