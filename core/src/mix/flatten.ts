import type { Mixable } from '#core/material';
import type { Clay } from '#core/clay';
import { Fraction, sumOf } from '#core/units';
import type { Amount, Book, Recipe, Worked } from './recipe.js';
import { complaint } from './sentences.js';

/** One base clay of a mix, with its exact share by volume and by mass; each sums to 1. */
export interface Share {
  readonly clay: Clay;
  readonly volume: Fraction;
  readonly mass: Fraction;
}

/** A recipe worked out down to clays. `density` in g/cm³. */
export interface Flat {
  readonly shares: readonly Share[];
  readonly density: number;
}

/** Mixes inside mixes inside mixes: so many are followed in what is new. */
export const MOST_DEPTH = 16;
/** Digits that an exact share of a new mix may have. */
export const MOST_DIGITS = 80;

/** How a recipe is worked out: `strict` refuses what is too deep or too odd before it is begun. */
interface Way {
  readonly book: Book;
  readonly worked: Map<string, Worked>;
  readonly strict: boolean;
}

const digitsOf = ({ n, d }: Fraction): number => Math.max(n.toString().length, d.toString().length);

function checkDepth(depth: number): void {
  if (depth > MOST_DEPTH) throw complaint('mix/deep', { depth, most: MOST_DEPTH });
}

/** Works a recipe out, each revision in it once. */
function workOut(recipe: Recipe, way: Way, path: readonly string[]): Worked {
  const inner = recipe.ingredients.map(({ of }) =>
    of.kind === 'clay' ? oneClay(of.id, way.book) : oneMix(of.id, way, path),
  );
  const depth = 1 + inner.reduce((most, one) => Math.max(most, one.depth), 0);
  if (way.strict) checkDepth(depth);
  const found = new Map<string, Amount>();
  recipe.ingredients.forEach(({ parts }, i) => {
    const amounts = inner[i]?.amounts ?? [];
    const density = sumOf(amounts.map((a) => a.volume.mul(a.density)));
    const volume = recipe.basis === 'volume' ? parts : parts.div(density);
    for (const amount of amounts) addTo(found, amount, amount.volume.mul(volume));
  });
  const total = sumOf([...found.values()].map((a) => a.volume));
  const amounts = [...found.values()].map((amount) => ({ ...amount, volume: amount.volume.div(total) }));
  if (way.strict && amounts.some((a) => digitsOf(a.volume) > MOST_DIGITS))
    throw complaint('mix/digits', { most: MOST_DIGITS });
  return { amounts, depth };
}

function addTo(found: Map<string, Amount>, amount: Amount, volume: Fraction): void {
  const before = found.get(amount.clay.id);
  found.set(amount.clay.id, { ...amount, volume: before ? before.volume.add(volume) : volume });
}

function oneClay(id: string, book: Book): Worked {
  const clay = book.clay(id);
  const line = clay && book.line(clay.lineId);
  if (!clay || !line) throw complaint('mix/missing', { name: 'A clay of this mix' });
  return { depth: 0, amounts: [{ clay, density: new Fraction(line.density), volume: new Fraction(1) }] };
}

function oneMix(revision: string, way: Way, path: readonly string[]): Worked {
  const before = way.worked.get(revision);
  if (before) return before;
  const recipe = way.book.recipe(revision);
  if (!recipe) throw complaint('mix/missing', { name: way.book.nameOf(revision) });
  if (path.includes(revision)) {
    const circle = [...path.slice(path.indexOf(revision)), revision].map((id) => way.book.nameOf(id));
    throw complaint('mix/cycle', { path: circle.join(' contains ') });
  }
  const worked = workOut(recipe, way, [...path, revision]);
  way.worked.set(revision, worked);
  return worked;
}

function flatWorked({ amounts }: Worked): Flat {
  const density = sumOf(amounts.map((a) => a.volume.mul(a.density)));
  return {
    density: density.valueOf(),
    shares: amounts.map(({ clay, volume, density: own }) => ({ clay, volume, mass: volume.mul(own).div(density) })),
  };
}

function flattened(recipe: Recipe, book: Book, self: string | undefined, strict: boolean): Flat {
  if (recipe.ingredients.length === 0) throw complaint('parts/none');
  const way: Way = { book, worked: book.worked ?? new Map(), strict };
  return flatWorked(workOut(recipe, way, self === undefined ? [] : [self]));
}

/**
 * Works a recipe of recipes out to its base clays, exactly, converting
 * between discs and grams with the densities of the lines. Each revision in
 * it is worked out once.
 * @param self the revision the recipe belongs to, so that a circle through it is found
 * @throws Complaint `mix/cycle` with the names of the circle, `mix/missing`, `parts/none`
 */
export function flatten(recipe: Recipe, book: Book, self?: string): Flat {
  return flattened(recipe, book, self, false);
}

/**
 * As {@link flatten}, for a recipe that is new: one that stands too deep in
 * others, or whose parts make shares of too many digits, is refused before
 * it is worked out.
 * @throws Complaint `mix/deep`, `mix/digits`, and as `flatten`
 */
export function flattenNew(recipe: Recipe, book: Book, self?: string): Flat {
  return flattened(recipe, book, self, true);
}

/** Every revision that a recipe rests on, directly or through others; circles are walked once. */
export function restsOn(recipe: Recipe, book: Book): Set<string> {
  const found = new Set<string>();
  const visit = (inner: Recipe): void => {
    for (const { of } of inner.ingredients) {
      if (of.kind === 'clay' || found.has(of.id)) continue;
      found.add(of.id);
      const next = book.recipe(of.id);
      if (next) visit(next);
    }
  };
  visit(recipe);
  return found;
}

const ONE = new Fraction(1);

/** What a clay or a mix is made of; a plain clay is a mix of one. @throws Complaint as `flatten` */
export function flatOf(of: Mixable, book: Book): Flat {
  return flatten({ basis: 'volume', ingredients: [{ of, parts: ONE }] }, book);
}
