import type { MaterialBook } from '#core/stock';
import { brittleOf, lookUp, strengthOf, type Looking, type Strength } from '#core/stock';
import { massOfSheet } from '#core/sheet';
import { attempt, type Grams, type Mm, type Mm2 } from '#core/units';
import { cutterArea, cuttingLayout, handLayout, type Layout } from '#core/cutter';
import { ofOneSheet, toCut, type LayerOf, type PieceOrder } from './order.js';
import { complaint } from './sentences.js';

/** A layer's sheets: `grams` for all of them. */
export interface LayerPlan {
  readonly of: LayerOf;
  readonly grams: Grams;
}

/** What one kind of piece takes, or the sentence that says why it cannot be cut. */
export type PiecePlan =
  | {
      readonly id: string;
      readonly layout: Layout;
      readonly layers: readonly LayerPlan[];
      readonly scrapGrams: Grams;
      readonly strength: Strength;
      readonly wrong: null;
    }
  | { readonly id: string; readonly wrong: string };

const sum = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0);

/** The cuts in the middle of a sheet that is as wide as its fade: all of its width is used up with them. */
function acrossFade(layout: Layout, width: Mm): Layout {
  const aside = (width - layout.width) / 2;
  const pieces = (1 - layout.scrap) * layout.width;
  return {
    ...layout,
    width,
    scrap: 1 - pieces / width,
    centres: layout.centres.map((at, i) => (i % 2 === 0 ? at + aside : at)),
  };
}

/** How so many pieces are cut, where nobody said so, or where each was put. */
function layoutOf(piece: PieceOrder, count: number): Layout {
  const { placed, cutter, bridgeMm, sheetWidthMm, sheetLengthMm } = piece;
  if (placed) {
    const there = placed.places.length;
    if (there < count) throw complaint('batch/places', { there, wanted: count });
    const ground = { width: sheetWidthMm, length: sheetLengthMm, bridge: bridgeMm, round: placed.round };
    return handLayout(cutter, placed.places.slice(0, count), ground);
  }
  const fades = piece.layers.flatMap(({ fadeMm }) => fadeMm ?? []);
  const fade = fades.length > 0 ? Math.min(...fades) : null;
  const limits = {
    width: fade ?? Math.min(sheetWidthMm, ...piece.layers.map((l) => l.rollerWidthMm)),
    length: sheetLengthMm,
    bridge: bridgeMm,
    edge: piece.edgeMm ?? 0,
    pairs: piece.pairs ?? false,
    lie: piece.lie ?? 'close',
  };
  const close = cuttingLayout(cutter, count, limits, Infinity, fade === null ? 'clay' : 'length');
  return fade === null ? close : acrossFade(close, fade);
}

const sheetArea = ({ area, width, length, sheets }: Layout): Mm2 => (area ?? width * length) * sheets;

/** Pieces of several cutters on one sheet use it up once: each answers for a part as large as its pieces are. */
function onOneSheet(piece: PieceOrder, layout: Layout, all: readonly PieceOrder[]): Layout {
  const others = ofOneSheet(piece, all).filter((other) => other !== piece);
  if (others.length === 0) return layout;
  const cut = (order: PieceOrder): Mm2 => toCut(order) * cutterArea(order.cutter);
  const used = others.map((other) =>
    attempt(
      () => ({ area: sheetArea(layoutOf(other, toCut(other))), pieces: cut(other) }),
      // what cannot be cut uses nothing up
      () => ({ area: 0, pieces: 0 }),
    ),
  );
  const own = cut(piece);
  const whole = Math.max(sheetArea(layout), ...used.map((u) => u.area));
  const pieces = own + sum(used.map((u) => u.pieces));
  return { ...layout, area: (whole * own) / pieces, scrap: 1 - pieces / whole };
}

/** Pieces of one kind that are laid out. */
const MOST_CUTS = 5000;

/** A kind of piece on its sheets, and what they weigh. @param all kinds of pieces of the batch */
export function planPiece(
  piece: PieceOrder,
  all: readonly PieceOrder[],
  book: MaterialBook,
  looking: Looking,
): PiecePlan {
  return attempt(
    () => {
      if (piece.layers.length === 0) throw complaint('parts/none');
      const count = toCut(piece);
      if (!Number.isInteger(count) || count < 1) throw complaint('count/whole');
      if (count > MOST_CUTS) throw complaint('batch/cuts', { name: piece.name, count, most: MOST_CUTS });
      const layout = onOneSheet(piece, layoutOf(piece, count), all);
      const area = sheetArea(layout);
      const known = piece.layers.map(({ of, mm }) => ({ of, mm, looks: lookUp(of, book, looking) }));
      const layers = known.map(({ of, mm, looks }) => ({ of, grams: massOfSheet(area, mm, looks.density) }));
      const strength = strengthOf(known.map(({ mm, looks }) => ({ mm, ...brittleOf(looks, book) })));
      const scrapGrams = layout.scrap * sum(layers.map((l) => l.grams));
      return { id: piece.id, layout, layers, scrapGrams, strength, wrong: null };
    },
    (wrong) => ({ id: piece.id, wrong: wrong.message }),
  );
}
