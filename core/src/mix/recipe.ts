import type { Clay, Line } from '#core/clay';
import { match, type Mixable } from '#core/material';
import { type Fraction } from '#core/units';
import { complaint } from './sentences.js';

/** Parts measured as discs (volume) or on a scale (mass). */
export const BASES = ['volume', 'mass'] as const;
export type Basis = (typeof BASES)[number];

export interface Ingredient {
  readonly parts: Fraction;
  readonly of: Mixable;
}

export interface Recipe {
  readonly basis: Basis;
  readonly ingredients: readonly Ingredient[];
}

/** A base clay with its share by volume; `density` of its line in g/cm³. */
export interface Amount {
  readonly clay: Clay;
  readonly density: Fraction;
  readonly volume: Fraction;
}

/** A recipe worked out: volumes of its base clays, which sum to 1, and how many mixes stand inside each other in it. */
export interface Worked {
  readonly amounts: readonly Amount[];
  readonly depth: number;
}

/** Where a recipe finds what it names. Every look-up gives undefined for what is not there. */
export interface Book {
  clay(id: string): Clay | undefined;
  line(id: string): Line | undefined;
  recipe(revisionId: string): Recipe | undefined;
  /** the name of a mix, by one of its revisions */
  nameOf(revisionId: string): string;
  /**
   * revisions that were worked out before, by id; whoever holds it empties it when a clay, a line or a recipe
   * changes
   */
  readonly worked?: Map<string, Worked>;
}

/** What a clay or a mix is called. */
export const nameOf = (of: Mixable, book: Book): string =>
  match(of, { clay: ({ id }) => book.clay(id)?.name ?? '', mix: ({ id }) => book.nameOf(id) });

export const MOST_PARTS = 10_000;
export const LEAST_PARTS = 1 / 1000;

/**
 * Refuses parts that no one can make.
 * @throws Complaint `parts/none`, `parts/zero`, `parts/negative`, `parts/huge`, `parts/tiny`
 */
export function checkParts(ingredients: readonly { parts: Fraction; name: string }[]): void {
  if (ingredients.length === 0) throw complaint('parts/none');
  for (const { parts, name } of ingredients) {
    if (parts.equals(0)) throw complaint('parts/zero', { name });
    if (parts.compare(0) < 0) throw complaint('parts/negative', { name });
    if (parts.compare(MOST_PARTS) > 0) throw complaint('parts/huge', { name });
    if (parts.compare(LEAST_PARTS) < 0) throw complaint('parts/tiny', { name });
  }
}
