import { massOf } from '#core/clay';
import { deltaE, statedPigment, type PigmentSource } from '#core/colour';
import { Fraction, sumOf, type Grams, type Mm2, type Mm } from '#core/units';
import { colourOf } from './colourOf.js';
import { flatten, type Flat } from './flatten.js';
import type { Book, Recipe } from './recipe.js';
import { complaint } from './sentences.js';

/** Grams of each clay, in the order of `flat.shares`. */
export interface ClayGrams {
  readonly clayId: string;
  readonly grams: Grams;
}

/**
 * A mix scaled to a total weight.
 * @throws Complaint `amount/positive`
 */
export function toGrams(flat: Flat, total: Grams): ClayGrams[] {
  if (!(total > 0) || !Number.isFinite(total)) throw complaint('amount/positive', { what: 'The weight' });
  return flat.shares.map(({ clay, mass }) => ({ clayId: clay.id, grams: mass.valueOf() * total }));
}

/** Grams of a mix that a sheet of an area and thickness takes (docs/models.md §1). */
export function sheetGrams(flat: Flat, area: Mm2, thickness: Mm): Grams {
  return massOf(area * thickness, flat.density);
}

/** What {@link untilGone} needs of a flat mix: shares by mass. */
export interface ByMass {
  readonly shares: readonly { readonly clay: { readonly id: string }; readonly mass: { valueOf(): number } }[];
}

/**
 * The most that can be made of a mix before its scarcest clay is gone.
 * @param left grams of a clay that are there
 * @returns grams of mix, and the clay that runs out first
 */
export function untilGone(flat: ByMass, left: (clayId: string) => Grams): { grams: Grams; scarcest: string } {
  let grams = Infinity;
  let scarcest = '';
  for (const { clay, mass } of flat.shares) {
    const possible = left(clay.id) / mass.valueOf();
    if (possible < grams) {
      grams = possible;
      scarcest = clay.id;
    }
  }
  return { grams, scarcest };
}

/** Discs of each ingredient of a recipe, to the quarter disc. */
export interface DiscCount {
  readonly discs: readonly Fraction[];
  readonly total: Fraction;
  /** how far the rounding moves the colour, ΔE00 */
  readonly error: number;
  readonly grams: Grams;
}

const QUARTER = new Fraction(1, 4);

/**
 * A recipe as discs of one cutter at one setting, to whole, half and quarter
 * discs: enough for `total` grams, no ingredient left out, with the colour
 * error that the rounding makes. A mass recipe is turned into discs by the
 * densities of its ingredients.
 * @param discVolume mm³ of one disc
 * @throws Complaint `amount/positive`, and those of {@link flatten}
 */
export function toDiscs(
  recipe: Recipe,
  book: Book,
  total: Grams,
  discVolume: number,
  pigments: PigmentSource = statedPigment,
): DiscCount {
  if (!(total > 0) || !Number.isFinite(total)) throw complaint('amount/positive', { what: 'The weight' });
  if (!(discVolume > 0)) throw complaint('amount/positive', { what: 'The disc' });
  const whole = flatten(recipe, book);
  const volumes = discParts(recipe, book);
  const sum = sumOf(volumes);
  const needed = (total * 1000) / whole.density / discVolume;
  const discs = volumes.map((volume) => {
    const exact = volume.div(sum).valueOf() * needed;
    // a hair of tolerance, so that exact multiples do not round up to one quarter more
    return QUARTER.mul(Math.max(1, Math.ceil(exact * 4 - 1e-6)));
  });
  const made = flatten(
    { basis: 'volume', ingredients: recipe.ingredients.map(({ of }, i) => ({ of, parts: discs[i] ?? QUARTER })) },
    book,
  );
  const count = sumOf(discs);
  return {
    discs,
    total: count,
    error: deltaE(colourOf(whole, 'baked', pigments).lab, colourOf(made, 'baked', pigments).lab),
    grams: massOf(count.valueOf() * discVolume, made.density),
  };
}

/** The parts of a recipe by volume, whatever its basis. */
function discParts(recipe: Recipe, book: Book): Fraction[] {
  return recipe.ingredients.map((ingredient) => {
    if (recipe.basis === 'volume') return ingredient.parts;
    const own = flatten({ basis: 'volume', ingredients: [{ ...ingredient, parts: new Fraction(1) }] }, book);
    return ingredient.parts.div(new Fraction(own.density));
  });
}
