import { ofMix } from '#core/material';
import { randomUUID } from 'node:crypto';
import { Complaint } from '#core/units';
import {
  MOST_DEPTH,
  checkParts,
  colourOf,
  flatten,
  flattenNew,
  normalForm,
  normalKey,
  openBrackets,
  parseNotation,
  printNotation,
  type Book,
  type Named,
  type Recipe,
} from '#core/mix';
import type { FileFault } from '#core/formats';
import type { MixLineDto } from '#contract';
import { inBreaths } from '../aside/breath.js';
import { meaningOf } from '../mixes/names.js';
import type { Studio } from '../mixes/studio.js';

/** A mix out of a file, understood: `there` where the board has the same already. */
export interface Incoming {
  readonly line: MixLineDto;
  readonly mixId: string;
  readonly revisionId: string;
  readonly recipe: Recipe;
  readonly notation: string;
  readonly hex: string;
  readonly there: boolean;
}

const NAME_MOST = 80;
const small = (name: string): string => name.trim().toLowerCase();

/** What is wrong with the names of a file, before anything is mixed. */
function nameFaults(lines: readonly MixLineDto[], studio: Studio): FileFault[] {
  const first = new Map<string, number>();
  const clays = new Set(studio.all('clay').map((c) => small(c.name)));
  return lines.flatMap(({ row, name }): FileFault[] => {
    const key = small(name);
    const before = first.get(key);
    if (before === undefined) first.set(key, row);
    if (key === '') return [{ row, sentence: 'This mix has no name.' }];
    if (name.trim().length > NAME_MOST)
      return [{ row, sentence: `“${name.trim().slice(0, 30)}…” is longer than 80 letters.` }];
    if (/["\n\r\t]/.test(name)) return [{ row, sentence: 'A name cannot hold line breaks or double quotation marks.' }];
    if (before !== undefined)
      return [{ row, sentence: `There is a mix called ${name.trim()} in row ${before} already.` }];
    return clays.has(key)
      ? [{ row, sentence: `${name.trim()} is the name of a clay on the shelf. Call the mix something else.` }]
      : [];
  });
}

export interface Understood {
  readonly incoming: Incoming[];
  readonly faults: FileFault[];
}

/**
 * Understands mixes out of a file, in whatever order they stand: a recipe
 * may name clays, mixes of the board, and other mixes of the file.
 */
export async function understand(lines: readonly MixLineDto[], studio: Studio): Promise<Understood> {
  const faults = nameFaults(lines, studio);
  if (faults.length > 0) return { incoming: [], faults };
  const inFile = new Map(lines.map((line) => [small(line.name), line]));
  const known = new Map<string, Incoming>();
  const recipes = new Map<string, Recipe>();
  const names = new Map<string, string>();
  const book: Book = {
    clay: studio.clay,
    line: studio.line,
    recipe: (id) => recipes.get(id) ?? studio.recipe(id),
    nameOf: (id) => names.get(id) ?? studio.nameOf(id),
    worked: new Map(studio.worked),
  };
  const failed = new Set<string>();
  const inOrder: Incoming[] = [];
  const sourceOf = (of: Named, path: readonly string[]): Recipe['ingredients'][number]['of'] => {
    const key = small(of.name);
    if (of.revision === null && inFile.has(key)) {
      const inner = visit(inFile.get(key) as MixLineDto, path);
      if (!inner) throw new Broken();
      return ofMix(inner.revisionId);
    }
    return meaningOf(of, studio);
  };
  const visit = (line: MixLineDto, path: readonly string[]): Incoming | null => {
    const key = small(line.name);
    const before = known.get(key);
    if (before) return before;
    if (failed.has(key)) return null;
    // which of them is too deep is told of the row that one began with
    if (path.length > MOST_LOOKED) throw new TooDeep();
    if (path.includes(key)) {
      faults.push({
        row: line.row,
        sentence:
          'A mix cannot contain itself: ' +
          `${[...path.slice(path.indexOf(key)), key].map((k) => inFile.get(k)?.name.trim() ?? k).join(' contains ')}.`,
      });
      failed.add(key);
      return null;
    }
    try {
      const terms = openBrackets(parseNotation(line.recipe));
      checkParts(terms.map(({ parts, of }) => ({ parts, name: of.name })));
      const recipe: Recipe = {
        basis: line.basis,
        ingredients: terms.map((term) => ({ parts: term.parts, of: sourceOf(term.of, [...path, key]) })),
      };
      const flat = flattenNew(recipe, book);
      const onBoard = studio.mixNamed(line.name);
      const newest = onBoard && studio.newest(onBoard.id);
      const there = newest && studio.recipe(newest.id);
      const same =
        there !== undefined &&
        normalKey(normalForm(flatten(there, studio), there.basis)) === normalKey(normalForm(flat, line.basis));
      if (onBoard && !same) throw new Taken(line.name.trim());
      const own: Incoming = {
        line,
        mixId: onBoard?.id ?? randomUUID(),
        revisionId: newest?.id ?? randomUUID(),
        recipe,
        there: same,
        notation: printNotation(terms),
        hex: colourOf(flat, 'baked', studio.pigments).hex,
      };
      recipes.set(own.revisionId, recipe);
      names.set(own.revisionId, line.name.trim());
      known.set(key, own);
      inOrder.push(own);
      return own;
    } catch (error) {
      if (error instanceof TooDeep && path.length > 0) throw error;
      failed.add(key);
      // a row that only rests on a broken one needs no sentence of its own
      if (error instanceof Broken) {
        if (!faults.some((f) => f.row === line.row))
          faults.push({ row: line.row, sentence: 'This mix rests on another one of the file that is wrong.' });
        return null;
      }
      if (!(error instanceof Complaint || error instanceof Taken || error instanceof TooDeep)) throw error;
      faults.push({ row: line.row, sentence: error.message });
      return null;
    }
  };
  await inBreaths(lines, (line) => {
    visit(line, []);
  });
  return { incoming: inOrder, faults: faults.sort((a, b) => (a.row ?? 0) - (b.row ?? 0)) };
}

/** An ingredient is a mix of the file that could not be understood. */
class Broken extends Error {}
/** How far rows that name other rows are followed; more than any mix may be deep. */
const MOST_LOOKED = 4 * MOST_DEPTH;
class TooDeep extends Error {
  constructor() {
    super(`This mix is made of mixes inside mixes, more than ${MOST_LOOKED} deep. Sledge follows ${MOST_DEPTH}.`);
  }
}
/** The board has another mix of that name. */
class Taken extends Error {
  constructor(name: string) {
    super(`There is a mix called ${name} on the board already, with another recipe. Rename one of the two.`);
  }
}
