import type { ShelfAnswer } from '#contract';

/** Grams of a clay that are left on the shelf, in all its blocks together. */
export const leftOf = (shelf: ShelfAnswer, clayId: string): number =>
  shelf.blocks.reduce((sum, b) => (b.clayId === clayId ? sum + b.leftGrams : sum), 0);
