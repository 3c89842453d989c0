import fc from 'fast-check';
import { cutterArea, cutterOf, scaledCutter, type PlainCutter } from '#core/cutter';
import {
  PIECE_MODELS,
  extentOfAll,
  layPiece,
  numberOf,
  scaledPiece,
  sizedParts,
  type PieceDocument,
} from '#core/piece';

const factor = fc.double({ min: 0.3, max: 3, noNaN: true });
const model = fc.constantFrom(...PIECE_MODELS).map((m): PieceDocument => m.piece);

describe('another size', () => {
  test('of a cutter: its area goes with the square, its outline as it was', () => {
    const cutter: fc.Arbitrary<PlainCutter> = fc.record({
      shape: fc.constantFrom('round', 'oval', 'leaf', 'teardrop', 'heart'),
      widthMm: fc.double({ min: 5, max: 60, noNaN: true }),
      heightMm: fc.double({ min: 5, max: 60, noNaN: true }),
    });
    fc.assert(
      fc.property(cutter, factor, (own, f) => {
        const [before, after] = [cutterArea(cutterOf(own)), cutterArea(cutterOf(scaledCutter(own, f)))];
        expect(after / before).toBeCloseTo(f * f, 6);
      }),
    );
    const ring = { shape: 'round', widthMm: 24, heightMm: null, rimMm: 4 } as const;
    expect(scaledCutter(ring, 0.5)).toEqual({ shape: 'round', widthMm: 12, heightMm: null, rimMm: 2 });
  });

  test('of a piece of many parts: as much smaller all over, and back it is as it was', () => {
    fc.assert(
      fc.property(model, factor, (piece, f) => {
        const other = scaledPiece(piece, f);
        const back = scaledPiece(other, 1 / f);
        for (const [i, size] of piece.sizes.entries()) {
          const grown = size.unit === 'mm' ? f : 1;
          expect(other.sizes[i]?.value).toBeCloseTo(size.value * grown, 9);
          expect(back.sizes[i]?.value).toBeCloseTo(size.value, 9);
        }
        expect(JSON.stringify(sizedParts(scaledPiece(piece, 1)))).toBe(JSON.stringify(sizedParts(piece)));
      }),
      { endOnFailure: true },
    );
  });

  test('thicknesses of sheets, counts and findings stay', () => {
    fc.assert(
      fc.property(model, factor, (piece, f) => {
        const [before, after] = [sizedParts(piece), sizedParts(scaledPiece(piece, f))];
        for (const [i, part] of before.entries()) {
          const other = after[i];
          if (!other) throw new Error('a part is gone');
          if ('mm' in part.shape && 'mm' in other.shape) expect(other.shape.mm).toBeCloseTo(part.shape.mm, 9);
          if ('n' in part.place && 'n' in other.place) expect(other.place.n).toBeCloseTo(part.place.n, 9);
          if (part.shape.is === 'finding' && other.shape.is === 'finding')
            expect([other.shape.width, other.shape.length]).toEqual([
              expect.closeTo(part.shape.width, 9),
              expect.closeTo(part.shape.length, 9),
            ]);
        }
      }),
      { endOnFailure: true },
    );
  });

  test('a cut piece laid out is as much smaller from side to side', () => {
    const cut = PIECE_MODELS.map((m) => m.piece).filter((p) => p.parts.every(({ shape }) => shape.is === 'cut'));
    for (const piece of cut) {
      const wide = (p: PieceDocument): number => extentOfAll(layPiece(p).parts)?.width ?? NaN;
      expect(wide(scaledPiece(piece, 0.8)) / wide(piece)).toBeCloseTo(0.8, 1);
    }
    expect(numberOf({ size: 'a', times: 2 }, [{ id: 'a', name: 'a', unit: 'mm', value: 3 }])).toBe(6);
  });
});
