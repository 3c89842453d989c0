import { massOf } from '#core/clay';
import { ofMix, type Mixable } from '#core/material';
import type { PigmentSource } from '#core/colour';
import { colourOf, flatOf, restsOn, toDiscs, type Book, type MixColour, type Recipe } from '#core/mix';
import { Fraction, type Grams } from '#core/units';

const ONE = new Fraction(1);

/** One ingredient of a mix, in the amount that is really cut for it. */
export interface Portion {
  readonly of: Mixable;
  readonly grams: Grams;
  /** null where the mix is weighed */
  readonly discs: Fraction | null;
}

/** A mix (or a plain clay) that a batch needs. */
export interface MixDemand {
  readonly of: Mixable;
  readonly needed: Grams;
  /** what the discs give: never less than `needed`; equal where it is weighed */
  readonly made: Grams;
  readonly portions: readonly Portion[];
  /** ΔE00 that rounding to quarter discs makes */
  readonly discError: number;
  readonly baked: MixColour;
  readonly raw: MixColour;
}

export interface Demand {
  /** in making order: what another mix needs comes before it, else light before dark */
  readonly mixes: readonly MixDemand[];
  readonly clays: ReadonlyMap<string, Grams>;
}

/** How parts are measured: mm³ of one disc, or null to weigh everything. */
export interface Measuring {
  readonly discVolume: number | null;
}

export const recipeOf = (of: Mixable, book: Book): Recipe | undefined =>
  of.kind === 'mix' ? book.recipe(of.id) : undefined;

function weighed(recipe: Recipe, book: Book, grams: Grams): Portion[] {
  const masses = recipe.ingredients.map(
    ({ parts, of }) => parts.valueOf() * (recipe.basis === 'mass' ? 1 : flatOf(of, book).density),
  );
  const total = masses.reduce((a, b) => a + b, 0);
  return recipe.ingredients.map(({ of }, i) => ({ of, grams: (grams * (masses[i] ?? 0)) / total, discs: null }));
}

function portionsOf(
  recipe: Recipe,
  book: Book,
  needed: Grams,
  measuring: Measuring,
  pigments: PigmentSource,
): Pick<MixDemand, 'portions' | 'made' | 'discError'> {
  if (recipe.basis === 'mass' || measuring.discVolume === null) {
    return { portions: weighed(recipe, book, needed), made: needed, discError: 0 };
  }
  const volume = measuring.discVolume;
  const count = toDiscs(recipe, book, needed, volume, pigments);
  const portions = recipe.ingredients.map(({ of }, i) => {
    const discs = count.discs[i] ?? ONE;
    return { of, discs, grams: massOf(discs.valueOf() * volume, flatOf(of, book).density) };
  });
  return { portions, made: count.grams, discError: count.error };
}

/**
 * Works an amount of finished mixes back to every mix that has to be made
 * and every clay that has to be conditioned. Mixes inside mixes are summed
 * up before they are made.
 * @param wanted grams of each source; the same source may come several times
 * @throws Complaint as `flatten`
 */
export function demandOf(
  wanted: readonly { of: Mixable; grams: Grams }[],
  book: Book,
  measuring: Measuring,
  pigments: PigmentSource,
): Demand {
  const needed = new Map<string, { of: Mixable; grams: Grams }>();
  const add = (of: Mixable, grams: Grams): void => {
    needed.set(of.id, { of, grams: (needed.get(of.id)?.grams ?? 0) + grams });
  };
  for (const { of, grams } of wanted) add(of, grams);

  const mixes: MixDemand[] = [];
  const clays = new Map<string, Grams>();
  for (const of of outermostFirst(
    wanted.map((w) => w.of),
    book,
  )) {
    const grams = needed.get(of.id)?.grams ?? 0;
    const flat = flatOf(of, book);
    const colours = { baked: colourOf(flat, 'baked', pigments), raw: colourOf(flat, 'raw', pigments) };
    const recipe = recipeOf(of, book);
    const made = recipe
      ? portionsOf(recipe, book, grams, measuring, pigments)
      : { portions: [], made: grams, discError: 0 };
    for (const portion of made.portions) add(portion.of, portion.grams);
    mixes.push({ of, needed: grams, ...made, ...colours });
  }
  for (const { of, grams } of needed.values()) if (of.kind === 'clay') clays.set(of.id, grams);
  const wantedIds = new Set(wanted.map((w) => w.of.id));
  return {
    mixes: makingOrder(
      mixes.filter((m) => m.of.kind === 'mix' || wantedIds.has(m.of.id)),
      book,
    ),
    clays,
  };
}

/** Sources so that none comes after a mix it is an ingredient of. */
function outermostFirst(sources: readonly Mixable[], book: Book): Mixable[] {
  const depth = (of: Mixable): number => {
    const recipe = recipeOf(of, book);
    return recipe ? 1 + Math.max(0, ...recipe.ingredients.map((i) => depth(i.of))) : 0;
  };
  const all = new Map<string, Mixable>();
  for (const of of sources) {
    all.set(of.id, of);
    const recipe = recipeOf(of, book);
    if (recipe) for (const revision of restsOn(recipe, book)) all.set(revision, ofMix(revision));
  }
  return [...all.values()].sort((a, b) => depth(b) - depth(a));
}

function makingOrder(mixes: readonly MixDemand[], book: Book): MixDemand[] {
  const waiting = [...mixes].sort((a, b) => b.raw.lab.l - a.raw.lab.l);
  const done: MixDemand[] = [];
  const ready = (mix: MixDemand): boolean => {
    const recipe = recipeOf(mix.of, book);
    return (
      !recipe || recipe.ingredients.every(({ of }) => of.kind === 'clay' || !waiting.some((w) => w.of.id === of.id))
    );
  };
  while (waiting.length > 0) {
    const next = waiting.findIndex(ready);
    done.push(...waiting.splice(Math.max(0, next), 1));
  }
  return done;
}
