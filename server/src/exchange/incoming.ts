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

/** Mixes of a file on their way to the board: what is known of them, and what is wrong. */
class Understanding {
  readonly faults: FileFault[] = [];
  readonly inOrder: Incoming[] = [];
  private readonly inFile: ReadonlyMap<string, MixLineDto>;
  private readonly known = new Map<string, Incoming>();
  private readonly failed = new Set<string>();
  private readonly recipes = new Map<string, Recipe>();
  private readonly names = new Map<string, string>();
  private readonly book: Book;

  constructor(
    lines: readonly MixLineDto[],
    private readonly studio: Studio,
  ) {
    this.inFile = new Map(lines.map((line) => [small(line.name), line]));
    this.book = {
      clay: studio.clay,
      line: studio.line,
      recipe: (id) => this.recipes.get(id) ?? studio.recipe(id),
      nameOf: (id) => this.names.get(id) ?? studio.nameOf(id),
      worked: new Map(studio.worked),
    };
  }

  /**
   * A line, and before it those that it names. @param path the names that led here
   * @throws TooDeep where one of them lies too deep; told of the row that one began with
   */
  visit(line: MixLineDto, path: readonly string[]): Incoming | null {
    const key = small(line.name);
    const before = this.known.get(key);
    if (before) return before;
    if (this.failed.has(key)) return null;
    if (path.length > MOST_LOOKED) throw new TooDeep();
    if (path.includes(key)) return this.fail(line, this.circle(path, key));
    try {
      return this.keep(line, this.read(line, [...path, key]));
    } catch (error) {
      if (error instanceof TooDeep && path.length > 0) throw error;
      return this.fail(line, this.sentenceOf(error, line));
    }
  }

  private circle(path: readonly string[], key: string): string {
    const names = [...path.slice(path.indexOf(key)), key].map((k) => this.inFile.get(k)?.name.trim() ?? k);
    return `A mix cannot contain itself: ${names.join(' contains ')}.`;
  }

  /** Null: a row that only rests on a broken one needs no sentence where it has one. */
  private sentenceOf(error: unknown, line: MixLineDto): string | null {
    if (error instanceof Broken) {
      const said = this.faults.some((f) => f.row === line.row);
      return said ? null : 'This mix rests on another one of the file that is wrong.';
    }
    if (!(error instanceof Complaint || error instanceof Taken || error instanceof TooDeep)) throw error;
    return error.message;
  }

  private fail(line: MixLineDto, sentence: string | null): null {
    this.failed.add(small(line.name));
    if (sentence !== null) this.faults.push({ row: line.row, sentence });
    return null;
  }

  /** @throws Complaint of its recipe, Taken, Broken, TooDeep */
  private read(line: MixLineDto, path: readonly string[]): Incoming {
    const { studio } = this;
    const terms = openBrackets(parseNotation(line.recipe));
    checkParts(terms.map(({ parts, of }) => ({ parts, name: of.name })));
    const ingredients = terms.map((term) => ({ parts: term.parts, of: this.materialOf(term.of, path) }));
    const recipe: Recipe = { basis: line.basis, ingredients };
    const flat = flattenNew(recipe, this.book);
    const onBoard = studio.mixNamed(line.name);
    const newest = onBoard && studio.newest(onBoard.id);
    const there = this.isThere(newest?.id, normalKey(normalForm(flat, line.basis)));
    if (onBoard && !there) throw new Taken(line.name.trim());
    return {
      line,
      mixId: onBoard?.id ?? randomUUID(),
      revisionId: newest?.id ?? randomUUID(),
      recipe,
      there,
      notation: printNotation(terms),
      hex: colourOf(flat, 'baked', studio.pigments).hex,
    };
  }

  /** Whether a revision on the board is the same recipe. */
  private isThere(revisionId: string | undefined, key: string): boolean {
    const recipe = revisionId === undefined ? undefined : this.studio.recipe(revisionId);
    return recipe !== undefined && normalKey(normalForm(flatten(recipe, this.studio), recipe.basis)) === key;
  }

  private materialOf(of: Named, path: readonly string[]): Recipe['ingredients'][number]['of'] {
    const line = of.revision === null ? this.inFile.get(small(of.name)) : undefined;
    if (!line) return meaningOf(of, this.studio);
    const inner = this.visit(line, path);
    if (!inner) throw new Broken();
    return ofMix(inner.revisionId);
  }

  private keep(line: MixLineDto, own: Incoming): Incoming {
    this.recipes.set(own.revisionId, own.recipe);
    this.names.set(own.revisionId, line.name.trim());
    this.known.set(small(line.name), own);
    this.inOrder.push(own);
    return own;
  }
}

/**
 * Understands mixes out of a file, in whatever order they stand: a recipe
 * may name clays, mixes of the board, and other mixes of the file.
 */
export async function understand(lines: readonly MixLineDto[], studio: Studio): Promise<Understood> {
  const faults = nameFaults(lines, studio);
  if (faults.length > 0) return { incoming: [], faults };
  const understanding = new Understanding(lines, studio);
  await inBreaths(lines, (line) => {
    understanding.visit(line, []);
  });
  return { incoming: understanding.inOrder, faults: understanding.faults.sort((a, b) => (a.row ?? 0) - (b.row ?? 0)) };
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
