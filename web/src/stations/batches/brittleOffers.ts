import { toughnessOf } from '#core/clay';
import { SNAPS_BELOW, type Strength } from '#core/stock';
import type { PieceDto, ShelfAnswer, StockAnswer, TakenBy } from '#contract';

/** A left-over of a brittle line, for a place where it holds. */
export interface BrittleOffer {
  readonly of: TakenBy<'layer'>;
  readonly name: string;
  readonly grams: number;
}

/** Left-overs smaller than this back nothing, g; and so many are offered. */
const [WORTH, MOST] = [5, 3];
/** A left-over is brittle where more than this share of it is. */
const MOSTLY = 0.5;

/** Share of some clays that is brittle after baking. */
function brittleIn(clays: readonly { readonly clayId: string; readonly share: number }[], shelf: ShelfAnswer): number {
  const isBrittle = (clayId: string): boolean => {
    const line = shelf.lines.find((l) => l.id === shelf.clays.find((c) => c.id === clayId)?.lineId);
    return line !== undefined && toughnessOf(line).toughness === 'brittle';
  };
  return clays.reduce((sum, { clayId, share }) => sum + (isBrittle(clayId) ? share : 0), 0);
}

/**
 * Brittle left-overs for a piece that is thick enough to carry them, the most first; none for a thin one, and none that
 * is in it already or that another plan counts on.
 */
export function brittleOffers(
  piece: Pick<PieceDto, 'layers'>,
  { mm, snaps }: Strength,
  stock: StockAnswer,
  shelf: ShelfAnswer,
): readonly BrittleOffer[] {
  if (snaps || mm < SNAPS_BELOW) return [];
  const used = new Set(piece.layers.map((l) => l.of.id));
  const lumps = stock.things
    .filter((t) => (t.form === 'lump' || t.form === 'sheet') && t.reservedFor.length === 0)
    .filter(
      (t) =>
        brittleIn(
          t.clays.map(({ clayId, mass }) => ({ clayId, share: mass })),
          shelf,
        ) > MOSTLY,
    )
    .map(({ id, name, left }): BrittleOffer => ({ of: { kind: 'made', id }, name, grams: left }));
  const tubs = stock.tubs
    .filter(
      (t) =>
        brittleIn(
          t.clays.map((c) => ({ clayId: c.clayId, share: c.grams / t.grams })),
          shelf,
        ) > MOSTLY,
    )
    .map(({ id, name, grams }): BrittleOffer => ({ of: { kind: 'scrap', id }, name, grams }));
  return [...lumps, ...tubs]
    .filter(({ of, grams }) => grams >= WORTH && !used.has(of.id))
    .sort((a, b) => b.grams - a.grams)
    .slice(0, MOST);
}
