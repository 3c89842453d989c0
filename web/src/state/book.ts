import { useMemo } from 'react';
import { Fraction } from '#core/units';
import type { Basis, Book, Ingredient, Recipe } from '#core/mix';
import type { IngredientDto, RevisionAnswer, ShelfAnswer } from '#contract';

export const ingredientOf = ({ parts, of }: IngredientDto): Ingredient => ({ parts: new Fraction(parts), of });

export const recipeOf = (basis: Basis, ingredients: readonly IngredientDto[]): Recipe => ({
  basis,
  ingredients: ingredients.map(ingredientOf),
});

/** The shelf and some revisions, as core reads them. */
export function bookOf(shelf: ShelfAnswer, revisions: readonly RevisionAnswer[]): Book {
  const clays = new Map(shelf.clays.map((c) => [c.id, c]));
  const lines = new Map(shelf.lines.map((l) => [l.id, l]));
  const known = new Map(revisions.map((r) => [r.id, r]));
  return {
    clay: (id) => clays.get(id),
    line: (id) => lines.get(id),
    recipe: (id) => {
      const r = known.get(id);
      return r && recipeOf(r.basis, r.ingredients);
    },
    nameOf: (id) => known.get(id)?.mixName ?? 'A mix',
  };
}

export const useBook = (shelf: ShelfAnswer, revisions: readonly RevisionAnswer[]): Book =>
  useMemo(() => bookOf(shelf, revisions), [shelf, revisions]);
