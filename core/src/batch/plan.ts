import type { Mixable } from '#core/material';
import type { PigmentSource } from '#core/colour';
import type { Block } from '#core/clay';
import { pigmentsWith, type Book, flatOf } from '#core/mix';
import { massOfSheet } from '#core/sheet';
import { attempt, type Grams } from '#core/units';
import { bakeLoads, type BakeLoad } from './bake.js';
import { demandOf, type Demand, type Measuring } from './demand.js';
import { cuttingLayout, type Layout } from './layout.js';
import { thicknessOf, toCut, type PieceOrder } from './order.js';
import { againstShelf, type AgainstShelf } from './shelf.js';
import { complaint } from './sentences.js';

/** A layer's sheets: `grams` for all of them. */
export interface LayerPlan {
  readonly of: Mixable;
  readonly grams: Grams;
}

/** What one kind of piece takes, or the sentence that says why it cannot be cut. */
export type PiecePlan =
  | {
      readonly id: string;
      readonly layout: Layout;
      readonly layers: readonly LayerPlan[];
      readonly scrapGrams: Grams;
      readonly wrong: null;
    }
  | { readonly id: string; readonly wrong: string };

export interface ClayDemand extends AgainstShelf {
  readonly clayId: string;
  readonly grams: Grams;
}

export interface BatchPlan {
  readonly pieces: readonly PiecePlan[];
  readonly demand: Demand;
  readonly clays: readonly ClayDemand[];
  readonly loads: readonly BakeLoad[];
  readonly totalGrams: Grams;
  readonly scrapGrams: Grams;
  /** null where a price is not known */
  readonly usedCost: number | null;
  readonly buyCost: number | null;
}

export interface PlanInput {
  readonly pieces: readonly PieceOrder[];
  readonly book: Book;
  readonly blocks: readonly Block[];
  readonly measuring: Measuring;
  readonly pigments?: PigmentSource;
}

const sum = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0);
const sumKnown = (values: readonly (number | null)[]): number | null =>
  values.reduce<number | null>((total, v) => (total === null || v === null ? null : total + v), 0);

function planPiece(piece: PieceOrder, book: Book): PiecePlan {
  return attempt(
    () => {
      if (piece.layers.length === 0) throw complaint('parts/none');
      const count = toCut(piece);
      if (!Number.isInteger(count) || count < 1 || count > 5000) throw complaint('count/whole');
      const width = Math.min(piece.sheetWidthMm, ...piece.layers.map((l) => l.rollerWidthMm));
      const layout = cuttingLayout(piece.cutter, count, {
        width,
        length: piece.sheetLengthMm,
        bridge: piece.bridgeMm,
        edge: piece.edgeMm ?? 0,
      });
      const area = layout.width * layout.length * layout.sheets;
      const layers = piece.layers.map(({ of, mm }) => ({ of, grams: massOfSheet(area, mm, flatOf(of, book).density) }));
      return { id: piece.id, layout, layers, scrapGrams: layout.scrap * sum(layers.map((l) => l.grams)), wrong: null };
    },
    (wrong) => ({ id: piece.id, wrong: wrong.message }),
  );
}

/**
 * Everything a batch takes: a cutting layout for each kind of piece, the
 * mixes in making order, each clay against the shelf, the oven loads, the
 * cost. A piece that cannot be cut says why and is left out of the sums.
 */
export function planBatch(input: PlanInput): BatchPlan {
  const { book, pigments = pigmentsWith(null) } = input;
  const pieces = input.pieces.map((piece) => planPiece(piece, book));
  const wanted = pieces.flatMap((piece) => (piece.wrong === null ? piece.layers : []));
  const demand = demandOf(wanted, book, input.measuring, pigments);
  const clays = [...demand.clays].map(([clayId, grams]) => ({
    clayId,
    grams,
    ...againstShelf(
      input.blocks.filter((b) => b.clayId === clayId),
      grams,
    ),
  }));
  const good = input.pieces.filter((_, i) => pieces[i]?.wrong === null);
  return {
    pieces,
    demand,
    clays,
    loads: bakeLoads(
      good.map((piece) => ({
        pieceId: piece.id,
        count: toCut(piece),
        mm: thicknessOf(piece),
        lines: piece.layers.flatMap(({ of }) => flatOf(of, book).shares.map((s) => s.clay.lineId)),
      })),
      book,
    ),
    totalGrams: sum(clays.map((c) => c.grams)),
    scrapGrams: sum(pieces.map((p) => (p.wrong === null ? p.scrapGrams : 0))),
    usedCost: sumKnown(clays.map((c) => c.usedCost)),
    buyCost: sumKnown(clays.map((c) => c.buyCost)),
  };
}
