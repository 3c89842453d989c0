import { ofClay } from '#core/material';
import { hexOf, xyzOfLab } from '#core/colour';
import { flatten, partsOf, printNotation, toGrams, type Book, type Found, type Recipe } from '#core/mix';
import type { SwatchDto } from '#contract';

/** A colour of a palette with the mix that was taken for it. */
export interface Matched {
  readonly id: string;
  readonly name: string;
  readonly hex: string;
  /** null: none of the clays can be used for it */
  readonly notation: string | null;
  readonly mixHex: string | null;
  readonly deltaE: number | null;
  readonly recipe: Recipe | null;
  readonly grams: number;
  readonly perClay: readonly { readonly clayId: string; readonly name: string; readonly grams: number }[];
}

/** A mix this close is good enough; a simpler one goes before a closer one. */
const CLOSE = 2;

/** Of a short list from simple to close, the simplest that is close, or the closest. */
const taken = (found: readonly Found[]): Found | undefined => found.find((f) => f.deltaE <= CLOSE) ?? found.at(-1);

export function matchedOf(swatch: SwatchDto, found: readonly Found[], grams: number, book: Book): Matched {
  const own = { id: swatch.id, name: swatch.name, hex: hexOf(xyzOfLab(swatch)), grams };
  const mix = taken(found);
  if (!mix) return { ...own, notation: null, mixHex: null, deltaE: null, recipe: null, perClay: [] };
  const parts = partsOf(mix.units);
  const recipe: Recipe = {
    basis: 'volume',
    ingredients: parts.map((p, i) => ({ parts: p, of: ofClay(mix.clayIds[i] ?? '') })),
  };
  const named = (id: string): string => book.clay(id)?.name ?? '';
  return {
    ...own,
    recipe,
    deltaE: mix.deltaE,
    mixHex: hexOf(xyzOfLab(mix.lab)),
    notation: printNotation(
      parts.map((p, i) => ({ parts: p, of: { name: named(mix.clayIds[i] ?? ''), revision: null } })),
    ),
    perClay: toGrams(flatten(recipe, book), grams).map((c) => ({ ...c, name: named(c.clayId) })),
  };
}

/** Grams of each clay for all of a palette's mixes, most first. */
export function clayForAll(
  rows: readonly Matched[],
): { readonly clayId: string; readonly name: string; readonly grams: number }[] {
  const sums = new Map<string, { name: string; grams: number }>();
  for (const { clayId, name, grams } of rows.flatMap((r) => r.perClay))
    sums.set(clayId, { name, grams: (sums.get(clayId)?.grams ?? 0) + grams });
  return [...sums].map(([clayId, own]) => ({ clayId, ...own })).sort((a, b) => b.grams - a.grams);
}
