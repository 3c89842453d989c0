import type { PigmentSource } from '#core/colour';
import { colourOf, flatten, toGrams, type Basis, type Book, type Flat } from '#core/mix';
import { Fraction, sumOf } from '#core/units';
import type { IngredientDto } from '#contract';
import { ingredientOf } from '../../state/book.js';
import { UNKNOWN_HEX } from '../../theme/grey.js';

/** What is laid down or taken away at once. */
export const [ONE, HALF, QUARTER] = [new Fraction(1), new Fraction(1, 2), new Fraction(1, 4)];

/** One step less: a disc while there is more than one, then a half, then a quarter, then nothing. */
export function less(parts: Fraction): Fraction {
  return [ONE, HALF, QUARTER].map((step) => parts.sub(step)).find((rest) => rest.compare(0) > 0) ?? new Fraction(0);
}

/** What a key does to a stack, from its parts to its parts. */
export const BY_KEY: Readonly<Record<string, (parts: Fraction) => Fraction>> = {
  '+': (parts) => parts.add(ONE),
  '=': (parts) => parts.add(ONE),
  ArrowUp: (parts) => parts.add(ONE),
  h: (parts) => parts.add(HALF),
  q: (parts) => parts.add(QUARTER),
  '-': less,
  ArrowDown: less,
  Delete: () => new Fraction(0),
  Backspace: () => new Fraction(0),
};

/** The ingredients with other parts of one of them; one that has none left goes out, but never the last. */
export function withParts(ingredients: readonly IngredientDto[], at: number, parts: Fraction): IngredientDto[] | null {
  const rest = ingredients
    .map((i, k) => (k === at ? { ...i, parts: parts.toFraction() } : i))
    .filter((i) => i.parts !== '0');
  return rest.length > 0 ? rest : null;
}

/** The name and the colour of an ingredient. */
export function lookOf(i: IngredientDto, book: Book, pigments: PigmentSource): { name: string; hex: string } {
  const { of } = ingredientOf(i);
  if (of.kind === 'clay') {
    const clay = book.clay(of.id);
    return { name: clay?.name ?? 'a clay', hex: clay?.bakedHex ?? UNKNOWN_HEX };
  }
  const recipe = book.recipe(of.id);
  return {
    name: book.nameOf(of.id),
    hex: recipe ? colourOf(flatten(recipe, book), 'baked', pigments).hex : UNKNOWN_HEX,
  };
}

/** Grams of one ingredient in `total` grams of the mix. */
export function gramsOf(
  i: IngredientDto,
  all: readonly IngredientDto[],
  basis: Basis,
  flat: Flat,
  book: Book,
  total: number,
): number {
  const alone = flatten({ basis: 'volume', ingredients: [{ ...ingredientOf(i), parts: ONE }] }, book);
  const sum = sumOf(all.map((each) => new Fraction(each.parts)));
  const share = new Fraction(i.parts).div(sum).valueOf();
  const whole = toGrams(flat, total).reduce((grams, clay) => grams + clay.grams, 0);
  return basis === 'mass' ? share * whole : (share * whole * alone.density) / flat.density;
}
