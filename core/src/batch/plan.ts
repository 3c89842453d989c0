import { isMixable, keyOf, type MaterialKey } from '#core/material';
import { brittleOf, lookUp, strengthOf, type Looking, type MaterialBook, type Strength } from '#core/stock';
import type { PigmentSource } from '#core/colour';
import type { Block } from '#core/clay';
import { pigmentsWith } from '#core/mix';
import { massOfSheet } from '#core/sheet';
import { attempt, type Grams, type Mm, type Mm2 } from '#core/units';
import { bakeLoads, type BakeLoad } from './bake.js';
import { demandOf, type Demand, type Measuring } from './demand.js';
import { cutterArea, cuttingLayout, handLayout, type Layout } from '#core/cutter';
import { ofOneSheet, thicknessOf, toCut, type LayerOf, type PieceOrder, type Ready } from './order.js';
import { againstShelf, type AgainstShelf } from './shelf.js';
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

export interface ClayDemand extends AgainstShelf {
  readonly clayId: string;
  readonly grams: Grams;
}

/** How much of something that lies there a batch takes. */
export interface ReadyDemand {
  readonly of: Ready;
  readonly grams: Grams;
  /** of it there is */
  readonly there: Grams;
  readonly short: Grams;
}

export interface BatchPlan {
  readonly pieces: readonly PiecePlan[];
  /** each thing once */
  readonly ready: readonly ReadyDemand[];
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
  readonly book: MaterialBook;
  readonly blocks: readonly Block[];
  readonly measuring: Measuring;
  /** g of each thing that lies there, in each tub, and of each patterned sheet together */
  readonly there?: ReadonlyMap<MaterialKey, Grams>;
  readonly pigments?: PigmentSource;
}

const sum = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0);
const sumKnown = (values: readonly (number | null)[]): number | null =>
  values.reduce<number | null>((total, v) => (total === null || v === null ? null : total + v), 0);

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

function planPiece(piece: PieceOrder, all: readonly PieceOrder[], book: MaterialBook, looking: Looking): PiecePlan {
  return attempt(
    () => {
      if (piece.layers.length === 0) throw complaint('parts/none');
      const count = toCut(piece);
      if (!Number.isInteger(count) || count < 1 || count > 5000) throw complaint('count/whole');
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

/** What lies there, against what is wanted of it. */
function readyDemand(wanted: readonly LayerPlan[], there: ReadonlyMap<MaterialKey, Grams>): ReadyDemand[] {
  const sums = new Map<MaterialKey, { of: Ready; grams: Grams }>();
  for (const { of, grams } of wanted) {
    if (isMixable(of)) continue;
    sums.set(keyOf(of), { of, grams: (sums.get(keyOf(of))?.grams ?? 0) + grams });
  }
  return [...sums].map(([key, { of, grams }]) => {
    const left = there.get(key) ?? 0;
    return { of, grams, there: left, short: Math.max(0, grams - left) };
  });
}

/**
 * Everything a batch takes: a cutting layout for each kind of piece, the
 * mixes in making order, each clay against the shelf, the oven loads, the
 * cost. A piece that cannot be cut says why and is left out of the sums.
 */
export function planBatch(input: PlanInput): BatchPlan {
  const { book, pigments = pigmentsWith(null) } = input;
  const looking: Looking = { stage: 'raw', pigments };
  const pieces = input.pieces.map((piece) => planPiece(piece, input.pieces, book, looking));
  const wanted = pieces.flatMap((piece) => (piece.wrong === null ? piece.layers : []));
  const fresh = wanted.flatMap(({ of, grams }) => (isMixable(of) ? [{ of, grams }] : []));
  const demand = demandOf(fresh, book, input.measuring, pigments);
  const ready = readyDemand(wanted, input.there ?? new Map<MaterialKey, Grams>());
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
    ready,
    demand,
    clays,
    loads: bakeLoads(
      good.map((piece) => ({
        pieceId: piece.id,
        count: toCut(piece),
        mm: thicknessOf(piece),
        lines: piece.layers.flatMap(({ of }) => lookUp(of, book, looking).lines.map((line) => line.id)),
      })),
      book,
    ),
    totalGrams: sum(clays.map((c) => c.grams)) + sum(ready.map((r) => r.grams)),
    scrapGrams: sum(pieces.map((p) => (p.wrong === null ? p.scrapGrams : 0))),
    usedCost: sumKnown(clays.map((c) => c.usedCost)),
    buyCost: sumKnown(clays.map((c) => c.buyCost)),
  };
}
