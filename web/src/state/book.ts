import type { PigmentSource } from '#core/colour';
import { useMemo } from 'react';
import { Fraction } from '#core/units';
import { pigmentsWith, type Basis, type Book, type Ingredient, type Learned, type Recipe } from '#core/mix';
import type { IngredientDto, RevisionAnswer, ShelfAnswer } from '#contract';
import { useLearning } from '../wire/queries.js';

const stated = pigmentsWith(null);
const sources = new WeakMap<Learned, PigmentSource>();

/** The pigments that predictions use: with what the chips taught, unless that is switched off. A clay's curve is worked out once a visit. */
export function usePigments(): PigmentSource {
  const { data } = useLearning();
  const learned = data?.use ? data.learned : null;
  if (!learned) return stated;
  const source = sources.get(learned) ?? pigmentsWith(learned);
  sources.set(learned, source);
  return source;
}

export const ingredientOf = ({ parts, clayId, revisionId }: IngredientDto): Ingredient => ({
  parts: new Fraction(parts), of: clayId === null ? { revision: revisionId ?? '' } : { clay: clayId },
});

export const recipeOf = (basis: Basis, ingredients: readonly IngredientDto[]): Recipe =>
  ({ basis, ingredients: ingredients.map(ingredientOf) });

/** The shelf and some revisions, as core reads them. */
export function bookOf(shelf: ShelfAnswer, revisions: readonly RevisionAnswer[]): Book {
  const clays = new Map(shelf.clays.map((c) => [c.id, c]));
  const lines = new Map(shelf.lines.map((l) => [l.id, l]));
  const known = new Map(revisions.map((r) => [r.id, r]));
  return {
    clay: (id) => clays.get(id),
    line: (id) => lines.get(id),
    recipe: (id) => { const r = known.get(id); return r && recipeOf(r.basis, r.ingredients); },
    nameOf: (id) => known.get(id)?.mixName ?? 'a mix',
  };
}

export const useBook = (shelf: ShelfAnswer, revisions: readonly RevisionAnswer[]): Book =>
  useMemo(() => bookOf(shelf, revisions), [shelf, revisions]);
