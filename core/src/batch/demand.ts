import type { PigmentSource } from '#core/colour';
import {
  colourOf,
  flatten,
  idOf,
  restsOn,
  toDiscs,
  type Book,
  type Flat,
  type MixColour,
  type Recipe,
  type Source,
} from '#core/mix';
import { Fraction, type Grams } from '#core/units';

const ONE = new Fraction(1);

/** One ingredient of a mix, in the amount that is really cut for it. */
export interface Portion {
  readonly of: Source;
  readonly grams: Grams;
  /** null where the mix is weighed */
  readonly discs: Fraction | null;
}

/** A mix (or a plain clay) that a batch needs. */
export interface MixDemand {
  readonly of: Source;
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

export const recipeOf = (of: Source, book: Book): Recipe | undefined =>
  'revision' in of ? book.recipe(of.revision) : undefined;

/** What any source is made of; a plain clay is a mix of one. @throws Complaint as `flatten` */
export function flatOf(of: Source, book: Book): Flat {
  return flatten({ basis: 'volume', ingredients: [{ of, parts: ONE }] }, book);
}

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
    return { of, discs, grams: (discs.valueOf() * volume * flatOf(of, book).density) / 1000 };
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
  wanted: readonly { of: Source; grams: Grams }[],
  book: Book,
  measuring: Measuring,
  pigments: PigmentSource,
): Demand {
  const needed = new Map<string, { of: Source; grams: Grams }>();
  const add = (of: Source, grams: Grams): void => {
    needed.set(idOf(of), { of, grams: (needed.get(idOf(of))?.grams ?? 0) + grams });
  };
  for (const { of, grams } of wanted) add(of, grams);

  const mixes: MixDemand[] = [];
  const clays = new Map<string, Grams>();
  for (const of of outermostFirst(
    wanted.map((w) => w.of),
    book,
  )) {
    const grams = needed.get(idOf(of))?.grams ?? 0;
    const flat = flatOf(of, book);
    const colours = { baked: colourOf(flat, 'baked', pigments), raw: colourOf(flat, 'raw', pigments) };
    const recipe = recipeOf(of, book);
    const made = recipe
      ? portionsOf(recipe, book, grams, measuring, pigments)
      : { portions: [], made: grams, discError: 0 };
    for (const portion of made.portions) add(portion.of, portion.grams);
    mixes.push({ of, needed: grams, ...made, ...colours });
  }
  for (const { of, grams } of needed.values()) if ('clay' in of) clays.set(of.clay, grams);
  const wantedIds = new Set(wanted.map((w) => idOf(w.of)));
  return {
    mixes: makingOrder(
      mixes.filter((m) => 'revision' in m.of || wantedIds.has(m.of.clay)),
      book,
    ),
    clays,
  };
}

/** Sources so that none comes after a mix it is an ingredient of. */
function outermostFirst(sources: readonly Source[], book: Book): Source[] {
  const depth = (of: Source): number => {
    const recipe = recipeOf(of, book);
    return recipe ? 1 + Math.max(0, ...recipe.ingredients.map((i) => depth(i.of))) : 0;
  };
  const all = new Map<string, Source>();
  for (const of of sources) {
    all.set(idOf(of), of);
    const recipe = recipeOf(of, book);
    if (recipe) for (const revision of restsOn(recipe, book)) all.set(revision, { revision });
  }
  return [...all.values()].sort((a, b) => depth(b) - depth(a));
}

function makingOrder(mixes: readonly MixDemand[], book: Book): MixDemand[] {
  const waiting = [...mixes].sort((a, b) => b.raw.lab.l - a.raw.lab.l);
  const done: MixDemand[] = [];
  const ready = (mix: MixDemand): boolean => {
    const recipe = recipeOf(mix.of, book);
    return (
      !recipe || recipe.ingredients.every(({ of }) => 'clay' in of || !waiting.some((w) => idOf(w.of) === of.revision))
    );
  };
  while (waiting.length > 0) {
    const next = waiting.findIndex(ready);
    done.push(...waiting.splice(Math.max(0, next), 1));
  }
  return done;
}
