import { Inject, Injectable, type OnModuleInit } from '@nestjs/common';
import { Fraction } from '#core/units';
import type { Block, Clay, Line } from '#core/clay';
import { printNotation, rememberedPigments, type Book, type Named, type PigmentSource, type Recipe } from '#core/mix';
import { DB } from '../db/db.module.js';
import { Journal, type Row } from '../db/journal.js';
import type { Db } from '../db/open.js';
import { TABLES, type RowWrite } from '../db/schema.js';

type Held = 'line' | 'clay' | 'block' | 'mix' | 'revision' | 'ingredient';
const HELD: readonly Held[] = ['line', 'clay', 'block', 'mix', 'revision', 'ingredient'];

/** What a change means for everything worked out from recipes. */
export interface Touched {
  /** a line or a clay changed: every colour may have */
  readonly all: boolean;
  readonly mixes: ReadonlySet<string>;
  readonly revisions: ReadonlySet<string>;
}

/**
 * Shelf and recipes as they stand in the file, held in memory: the book that
 * every computation of the server reads. It is read once and then follows
 * the rows of each change.
 */
@Injectable()
export class Studio implements Book, OnModuleInit {
  readonly pigments: PigmentSource = rememberedPigments();
  private readonly rows: { [T in Held]: Map<string, Row<T>> } = {
    line: new Map(), clay: new Map(), block: new Map(), mix: new Map(), revision: new Map(), ingredient: new Map(),
  };
  private readonly revisionsOfMix = new Map<string, Set<string>>();
  private readonly ingredientsOf = new Map<string, Set<string>>();
  private readonly blocksOfClay = new Map<string, Set<string>>();
  private readonly recipes = new Map<string, Recipe>();
  private readonly users = new Map<string, Set<string>>();
  private readonly listeners: ((touched: Touched) => void)[] = [];

  constructor(@Inject(DB) private readonly db: Db, @Inject(Journal) private readonly journal: Journal) {}

  async onModuleInit(): Promise<void> {
    for (const table of HELD) {
      for (const row of await this.db.select().from(TABLES[table])) this.hold(table, row.id, row);
    }
    this.journal.onChange((writes) => { this.follow(writes); });
  }

  line = (id: string): Line | undefined => this.rows.line.get(id);
  clay = (id: string): Clay | undefined => this.rows.clay.get(id);
  nameOf = (revisionId: string): string => {
    const revision = this.rows.revision.get(revisionId);
    return (revision && this.rows.mix.get(revision.mixId)?.name) ?? 'A mix';
  };

  recipe = (revisionId: string): Recipe | undefined => {
    const known = this.recipes.get(revisionId);
    const revision = this.rows.revision.get(revisionId);
    if (known || !revision) return known;
    const ingredients = [...this.ingredientsOf.get(revisionId) ?? []]
      .flatMap((id) => this.rows.ingredient.get(id) ?? [])
      .sort((a, b) => a.position - b.position)
      .map((row) => ({
        parts: new Fraction(row.parts),
        of: row.clayId === null ? { revision: row.innerId ?? '' } : { clay: row.clayId },
      }));
    const recipe = { basis: revision.basis, ingredients };
    this.recipes.set(revisionId, recipe);
    return recipe;
  };

  all<T extends Held>(table: T): Row<T>[] {
    return [...this.rows[table].values()];
  }

  one<T extends Held>(table: T, id: string): Row<T> | undefined {
    return this.rows[table].get(id);
  }

  blocksOf(clayId: string): Block[] {
    return [...this.blocksOfClay.get(clayId) ?? []].flatMap((id) => this.rows.block.get(id) ?? []);
  }

  gramsLeft = (clayId: string): number => this.blocksOf(clayId).reduce((sum, b) => sum + b.leftGrams, 0);

  /** All revisions of a mix, oldest first. */
  revisions(mixId: string): Row<'revision'>[] {
    return [...this.revisionsOfMix.get(mixId) ?? []]
      .flatMap((id) => this.rows.revision.get(id) ?? []).sort((a, b) => a.number - b.number);
  }

  newest = (mixId: string): Row<'revision'> | undefined => this.revisions(mixId).at(-1);

  /** How an ingredient is written in notation: with its line where two clays share a name, with its number where it is not the newest. */
  named(ingredient: Recipe['ingredients'][number]): Named {
    const { of } = ingredient;
    if ('clay' in of) {
      const clay = this.clay(of.clay);
      const twins = this.all('clay').filter((c) => c.name.toLowerCase() === clay?.name.toLowerCase());
      const line = clay && this.line(clay.lineId);
      return { name: clay ? (twins.length > 1 && line ? `${clay.name} of ${line.name}` : clay.name) : 'a clay', revision: null };
    }
    const revision = this.one('revision', of.revision);
    const old = revision && this.newest(revision.mixId)?.id !== revision.id;
    return { name: this.nameOf(of.revision), revision: old ? revision.number : null };
  }

  notation(recipe: Recipe): string {
    return printNotation(recipe.ingredients.map((i) => ({ parts: i.parts, of: this.named(i) })));
  }

  /** Mixes of which some revision has `revisionId` as an ingredient. */
  usersOf(revisionId: string): Row<'mix'>[] {
    const revisions = [...this.users.get(revisionId) ?? []].flatMap((id) => this.rows.ingredient.get(id)?.revisionId ?? []);
    const mixes = new Set(revisions.flatMap((id) => this.rows.revision.get(id)?.mixId ?? []));
    return [...mixes].flatMap((id) => this.rows.mix.get(id) ?? []);
  }

  onTouched(listener: (touched: Touched) => void): void {
    this.listeners.push(listener);
  }

  private hold<T extends Held>(table: T, id: string, row: Row<T> | null): void {
    const before = this.rows[table].get(id);
    if (before && 'innerId' in before && before.innerId !== null) file(this.users, before.innerId, id, false);
    if (row && 'innerId' in row && row.innerId !== null) file(this.users, row.innerId, id, true);
    if (row === null) this.rows[table].delete(id);
    else this.rows[table].set(id, row);
    const owner = row ?? before;
    if (!owner) return;
    if ('mixId' in owner) file(this.revisionsOfMix, owner.mixId, id, row !== null);
    if ('revisionId' in owner) file(this.ingredientsOf, owner.revisionId, id, row !== null);
    if ('netGrams' in owner) file(this.blocksOfClay, owner.clayId, id, row !== null);
  }

  private follow(writes: readonly RowWrite[]): void {
    const mixes = new Set<string>();
    const revisions = new Set<string>();
    let all = false;
    for (const { table, before, after } of writes) {
      if (!HELD.includes(table as Held)) continue;
      const row = (after ?? before) as { id: string; mixId?: string; revisionId?: string };
      this.hold(table as Held, row.id, after as Row<Held> | null);
      all ||= table === 'line' || table === 'clay';
      if (table === 'mix') mixes.add(row.id);
      const revisionId = table === 'revision' ? row.id : table === 'ingredient' ? row.revisionId : undefined;
      if (revisionId !== undefined) { revisions.add(revisionId); this.recipes.delete(revisionId); }
      const mixId = row.mixId ?? (revisionId && this.one('revision', revisionId)?.mixId);
      if (mixId) mixes.add(mixId);
    }
    for (const mixId of mixes) for (const revision of this.revisions(mixId)) revisions.add(revision.id);
    for (const listener of this.listeners) listener({ all, mixes, revisions });
  }
}

function file(index: Map<string, Set<string>>, key: string, id: string, present: boolean): void {
  const own = index.get(key) ?? new Set();
  if (present) own.add(id);
  else own.delete(id);
  index.set(key, own);
}

