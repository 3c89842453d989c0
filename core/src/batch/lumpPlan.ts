import { massOf } from '#core/clay';
import { lookUp, type Looking, type MaterialBook } from '#core/stock';
import type { Grams } from '#core/units';
import type { LumpOrder } from './assembly.js';
import type { LayerOf } from './order.js';

/** A part that is shaped by hand, or cut off a cane, with what it weighs. */
export interface LumpPlan {
  readonly id: string;
  readonly of: LayerOf;
  /** of all pieces, spares too */
  readonly count: number;
  readonly grams: Grams;
  /** of it what does not end in the pieces */
  readonly scrapGrams: Grams;
}

export function planLump({ id, of, count, volume, taken }: LumpOrder, book: MaterialBook, looking: Looking): LumpPlan {
  const { density } = lookUp(of, book, looking);
  return { id, of, count, grams: massOf(taken, density), scrapGrams: massOf(taken - volume, density) };
}
