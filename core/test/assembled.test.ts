import { keyOf, ofClay } from '#core/material';
import { planBatch, type AssemblyOrder } from '#core/batch';
import { PIECE_MODELS, layPiece, withPieceMaterial, type PieceDocument } from '#core/piece';
import type { MaterialBook } from '#core/stock';

const BOOK: MaterialBook = {
  clay: (id) => ({
    id,
    lineId: 'firm',
    name: id,
    kind: 'opaque',
    rawHex: 'F1EEE4',
    bakedHex: 'F1EEE4',
    strength: null,
  }),
  line: (id) => ({
    ...{ id, name: id, firmness: 'firm', density: 1.9, bakeC: 130, bakeMinutes: 30, bakePerMm: 6, maxC: 150 },
  }),
  recipe: () => undefined,
  nameOf: (id) => id,
  composed: () => ({ name: 'Dark scrap', parts: [] }),
  made: (id) => ({ name: id, of: ofClay('clay0') }),
};
const ROLLING = { machineName: 'Bench roller', settingLabel: '4', assumed: false, rollerWidthMm: 145 };

/** A piece all of one clay, whatever is chosen for its parts; `inside` for what is covered. */
function order(piece: PieceDocument, inside: ReturnType<typeof keyOf>, count = 6): AssemblyOrder {
  const parts = piece.parts.map((part) => {
    const shape = 'with' in part.shape ? { ...part.shape, with: inside } : part.shape;
    return { ...part, of: part.shape.is === 'finding' ? null : keyOf(ofClay('clay0')), shape };
  });
  const { parts: laid } = layPiece({ ...piece, parts });
  return {
    ...{ id: 'a', name: 'Piece', count, spare: 1, bridgeMm: 2, sheetWidthMm: 110, sheetLengthMm: 200 },
    ...{ laid, thickest: 6, rolling: (mm: number) => ({ ...ROLLING, mm }) },
  };
}

const plan = (one: AssemblyOrder) =>
  planBatch({ pieces: [], assemblies: [one], book: BOOK, blocks: [], measuring: { discVolume: null } });
const inPieces = ({ pieces, lumps }: ReturnType<typeof planBatch>): number =>
  [
    ...pieces.map((p) => (p.wrong === null ? p.layers[0]!.grams * (1 - p.layout.scrap) : 0)),
    ...lumps.map((l) => l.grams - l.scrapGrams),
  ].reduce((a, b) => a + b, 0);

test('clay in is pieces and scrap, for every piece of the garden; twice as many take twice the lumps', () => {
  for (const { piece } of PIECE_MODELS) {
    const own = plan(order(piece, keyOf(ofClay('clay0'))));
    expect(own.assemblies[0]!.wrong).toBeNull();
    expect(own.totalGrams).toBeCloseTo(inPieces(own) + own.scrapGrams, 6);
    const twice = plan(order(piece, keyOf(ofClay('clay0')), 13));
    own.lumps.forEach((lump, i) => {
      expect(twice.lumps[i]!.grams).toBeCloseTo(2 * lump.grams, 6);
    });
  }
});

test('where scrap for a core is gone the batch says so, and nothing of the piece is planned', () => {
  const bead = PIECE_MODELS.find((m) => m.name === 'Basket bead')!.piece;
  const own = plan(order(bead, keyOf({ kind: 'scrap', id: 't' })));
  expect(own.assemblies[0]!.wrong).toBe('Nothing is left of Dark scrap.');
  expect([own.totalGrams, own.lumps, own.loads]).toEqual([0, [], []]);
});

test('a part without clay keeps the whole piece from being planned', () => {
  const bare = withPieceMaterial(PIECE_MODELS[0]!.piece, () => null);
  const own = plan({ ...order(bare, keyOf(ofClay('clay0'))), laid: layPiece(bare).parts });
  expect(own.assemblies[0]!.wrong).toMatch(/Choose what these parts are made of: leaf/);
});

test('a part of a sheet with a fade that lies there has the fade its own way, as wide as the sheet is', () => {
  const blossom = PIECE_MODELS[0]!.piece;
  const lying = keyOf({ kind: 'made', id: 's' });
  const one = (wide: number): AssemblyOrder => {
    const parts = blossom.parts.flatMap((part) => (part.name === 'outer petal' ? [{ ...part, of: lying }] : []));
    return {
      ...order(blossom, keyOf(ofClay('clay0'))),
      laid: layPiece({ ...blossom, parts }).parts,
      fades: new Map([['s', wide]]),
    };
  };
  const [petals] = plan(one(60)).pieces;
  if (petals?.wrong !== null) throw new Error(petals?.wrong);
  // its long side lies across the fade: 42 petals of 12 mm one after the other, on a sheet that stays 60 mm wide
  expect(petals.layout.width).toBe(60);
  expect(petals.layout.turned || [...petals.layout.turns].every((t) => Math.abs(t) % 180 === 90)).toBe(true);
  // too narrow for a petal of 20 mm: it is said, and nothing of it is planned
  const narrow = plan(one(15));
  expect(narrow.assemblies[0]!.wrong).toMatch(/\./);
  expect(narrow.totalGrams).toBe(0);
});
