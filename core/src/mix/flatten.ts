import type { Clay } from '#core/clay';
import { Fraction, complaint, sumOf } from '#core/units';
import type { Book, Recipe } from './recipe.js';

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

interface Amount { readonly clay: Clay; readonly density: Fraction; volume: Fraction }

/** Volumes of base clays in `recipe`, scaled to a total of 1. */
function volumesOf(recipe: Recipe, book: Book, path: readonly string[]): Map<string, Amount> {
  const found = new Map<string, Amount>();
  const add = (amount: Amount, volume: Fraction): void => {
    const before = found.get(amount.clay.id);
    found.set(amount.clay.id, { ...amount, volume: before ? before.volume.add(volume) : volume });
  };
  for (const { parts, of } of recipe.ingredients) {
    const inner = 'clay' in of ? oneClay(of.clay, book) : oneMix(of.revision, book, path);
    const amounts = [...inner.values()];
    const density = sumOf(amounts.map((a) => a.volume.mul(a.density)));
    const volume = recipe.basis === 'volume' ? parts : parts.div(density);
    for (const amount of amounts) add(amount, amount.volume.mul(volume));
  }
  const total = sumOf([...found.values()].map((a) => a.volume));
  for (const amount of found.values()) amount.volume = amount.volume.div(total);
  return found;
}

function oneClay(id: string, book: Book): Map<string, Amount> {
  const clay = book.clay(id);
  const line = clay && book.line(clay.lineId);
  if (!clay || !line) throw complaint('mix/missing', { name: 'A clay of this mix' });
  return new Map([[id, { clay, density: new Fraction(line.density), volume: new Fraction(1) }]]);
}

function oneMix(revision: string, book: Book, path: readonly string[]): Map<string, Amount> {
  const recipe = book.recipe(revision);
  if (!recipe) throw complaint('mix/missing', { name: book.nameOf(revision) });
  if (path.includes(revision)) {
    const circle = [...path.slice(path.indexOf(revision)), revision].map((id) => book.nameOf(id));
    throw complaint('mix/cycle', { path: circle.join(' contains ') });
  }
  return volumesOf(recipe, book, [...path, revision]);
}

/**
 * Works a recipe of recipes out to its base clays, exactly, converting
 * between discs and grams with the densities of the lines.
 * @param self the revision the recipe belongs to, so that a circle through it is found
 * @throws Complaint `mix/cycle` with the names of the circle, `mix/missing`, `parts/none`
 */
export function flatten(recipe: Recipe, book: Book, self?: string): Flat {
  if (recipe.ingredients.length === 0) throw complaint('parts/none');
  const amounts = [...volumesOf(recipe, book, self === undefined ? [] : [self]).values()];
  const density = sumOf(amounts.map((a) => a.volume.mul(a.density)));
  return {
    density: density.valueOf(),
    shares: amounts.map(({ clay, volume, density: own }) => ({
      clay, volume, mass: volume.mul(own).div(density),
    })),
  };
}

/** Every revision that a recipe rests on, directly or through others; circles are walked once. */
export function restsOn(recipe: Recipe, book: Book): Set<string> {
  const found = new Set<string>();
  const visit = (inner: Recipe): void => {
    for (const { of } of inner.ingredients) {
      if ('clay' in of || found.has(of.revision)) continue;
      found.add(of.revision);
      const next = book.recipe(of.revision);
      if (next) visit(next);
    }
  };
  visit(recipe);
  return found;
}
