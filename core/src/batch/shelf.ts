import { ASSUMED_BLOCK_GRAMS, ageInMonths, squeezeOf, type Block, type Squeeze } from '#core/clay';
import type { Grams } from '#core/units';
import { sumKnown } from './sumKnown.js';

/** Grams to take off one block. */
export interface Taking {
  readonly blockId: string;
  readonly grams: Grams;
}

const ROUNDING: Grams = 0.05;

/** Oldest first; blocks without a date last; opened blocks before full ones of the same age. */
export function inOrderOfUse(blocks: readonly Block[]): Block[] {
  return [...blocks].sort(
    (a, b) =>
      (a.madeOn ?? '9999').localeCompare(b.madeOn ?? '9999') || a.leftGrams - b.leftGrams || (a.id < b.id ? -1 : 1),
  );
}

/**
 * Which blocks an amount of one clay comes from, oldest first. What is
 * missing by less than a scale shows is let go.
 * @returns the takings, and what is short (0 where there is enough)
 */
export function takeFrom(blocks: readonly Block[], grams: Grams): { takings: Taking[]; short: Grams } {
  let left = grams;
  const takings: Taking[] = [];
  for (const block of inOrderOfUse(blocks)) {
    if (left <= 0) break;
    const taken = Math.min(left, block.leftGrams);
    if (taken > 0) takings.push({ blockId: block.id, grams: taken });
    left -= taken;
  }
  return { takings, short: left > ROUNDING ? left : 0 };
}

/** Part of an amount that is of one age. */
export interface Lot {
  readonly grams: Grams;
  /** of the block; null: nobody knows */ readonly months: number | null;
  /** it has to be bought, and is new then */ readonly bought: boolean;
  /** what it does between the fingers; null: nobody has squeezed it */ readonly squeeze: Squeeze | null;
  /** blocks that it comes from; none where it has to be bought */ readonly blockIds: readonly string[];
}

/**
 * The ages and states of an amount of one clay: of each block that is used for it,
 * oldest first, as they lie on the shelf; what has to be bought is new.
 * @param today ISO date
 */
export function lotsOf(blocks: readonly Block[], grams: Grams, today: string): Lot[] {
  const { takings, short } = takeFrom(blocks, grams);
  const lots = takings.map((taking): Lot => {
    const block = blocks.find((b) => b.id === taking.blockId);
    const madeOn = block?.madeOn ?? null;
    const months = madeOn === null ? null : ageInMonths(madeOn, today);
    const squeeze = block ? squeezeOf(block, today) : null;
    return { grams: taking.grams, months, bought: false, squeeze, blockIds: [taking.blockId] };
  });
  if (short > 0) lots.push({ grams: short, months: 0, bought: true, squeeze: null, blockIds: [] });
  const together = new Map<string, Lot>();
  for (const lot of lots) {
    const key = `${lot.months} ${lot.bought} ${lot.squeeze}`;
    const before = together.get(key);
    together.set(key, before ? joined(before, lot) : lot);
  }
  return [...together.values()];
}

const joined = (one: Lot, other: Lot): Lot => ({
  ...one,
  grams: one.grams + other.grams,
  blockIds: [...one.blockIds, ...other.blockIds],
});

/** What an amount of one clay means for the shelf. Money is in the person's own currency. */
export interface AgainstShelf {
  readonly left: Grams;
  readonly short: Grams;
  readonly blocksToBuy: number;
  readonly blockGrams: Grams;
  /** no block of this clay was ever on the shelf: the block's weight is an assumption */
  readonly blockAssumed: boolean;
  /** what the clay used up has cost; null where a price is not known */
  readonly usedCost: number | null;
  readonly buyCost: number | null;
}

/** @param blocks all blocks of one clay, empty ones too (they tell weight and price) */
export function againstShelf(blocks: readonly Block[], grams: Grams): AgainstShelf {
  const { takings, short } = takeFrom(blocks, grams);
  // what was brought back says nothing of how blocks are bought
  const asBought = inOrderOfUse(blocks.filter((b) => !b.inside));
  const newest = asBought.at(-1);
  const blockGrams = newest?.netGrams ?? ASSUMED_BLOCK_GRAMS;
  const price = [...asBought].reverse().find((b) => b.price !== null)?.price ?? null;
  const blocksToBuy = short === 0 ? 0 : Math.ceil(short / blockGrams - 1e-9);
  const costs = takings.map(({ blockId, grams: taken }) => {
    const block = blocks.find((b) => b.id === blockId);
    return block === undefined || block.price === null ? null : (block.price * taken) / block.netGrams;
  });
  const costOf = (count: number): number | null => {
    if (count === 0) return 0;
    return price === null ? null : price * count;
  };
  const shortCost = costOf(short / blockGrams);
  return {
    left: blocks.reduce((sum, b) => sum + b.leftGrams, 0),
    short,
    blocksToBuy,
    blockGrams,
    blockAssumed: newest === undefined,
    usedCost: sumKnown([...costs, shortCost]),
    buyCost: costOf(blocksToBuy),
  };
}
