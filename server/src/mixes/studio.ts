import { match, type Mixable } from '#core/material';
import type { PigmentSource } from '#core/colour';
import { sql } from 'drizzle-orm';
import { Inject, Injectable, type OnModuleInit } from '@nestjs/common';
import { Fraction } from '#core/units';
import type { Block, Clay, Line } from '#core/clay';
import {
  nameOf,
  printNotation,
  pigmentsWith,
  type Book,
  type Learned,
  type Named,
  type Recipe,
  type Worked,
} from '#core/mix';
import { DB } from '../db/db.module.js';
import { Journal, type Row } from '../db/journal.js';
import type { Db } from '../db/dataFile.js';
import type { Write } from '../db/writes.js';
import { materialOf } from '../db/references.js';
import { TABLES } from '../db/schema.js';

type Held = 'line' | 'clay' | 'block' | 'mix' | 'revision' | 'ingredient';
const HELD: readonly Held[] = ['line', 'clay', 'block', 'mix', 'revision', 'ingredient'];
const isHeld = (table: string): table is Held => HELD.some((held) => held === table);
type HeldWrite = Extract<Write, { readonly table: Held }>;
const isHeldWrite = (write: Write): write is HeldWrite => isHeld(write.table);

/** Rows read at a time at the start, so that no table stands in memory twice. */
const AT_ONCE = 2000;

/** What a change means for everything worked out from recipes. */
export interface Touched {
  /** a line or a clay changed: every colour may have */
  readonly all: boolean;
  /** mixes that changed, and all that rest on them */
  readonly mixes: ReadonlySet<string>;
}

/**
 * Shelf and recipes as they stand in the file, held in memory: the book that
 * every computation of the server reads. It is read once and then follows
 * the rows of each change.
 */
@Injectable()
export class Studio implements Book, OnModuleInit {
  /** how often colours were predicted anew: another number says that they are others */
  learnedTimes = 0;
  private predicting: PigmentSource = pigmentsWith(null);
  readonly pigments: PigmentSource = (clay, stage) => this.predicting(clay, stage);
  private readonly rows: { [T in Held]: Map<string, Row<T>> } = {
    line: new Map(),
    clay: new Map(),
    block: new Map(),
    mix: new Map(),
    revision: new Map(),
    ingredient: new Map(),
  };
  private readonly revisionsOfMix = new Map<string, Set<string>>();
  private readonly ingredientsOf = new Map<string, Set<string>>();
  private readonly blocksOfClay = new Map<string, Set<string>>();
  private readonly mixesByName = new Map<string, Set<string>>();
  private readonly users = new Map<string, Set<string>>();
  private readonly listeners: ((touched: Touched) => void)[] = [];
  readonly worked = new Map<string, Worked>();

  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Journal) private readonly journal: Journal,
  ) {}

  async onModuleInit(): Promise<void> {
    for (const table of HELD) {
      for (let read = 0, page = AT_ONCE; page === AT_ONCE; read += page) {
        const rows = await this.db
          .select()
          .from(TABLES[table])
          .orderBy(sql`rowid`)
          .limit(AT_ONCE)
          .offset(read);
        for (const row of rows) this.hold(table, row.id, row);
        page = rows.length;
      }
    }
    this.journal.onChange((writes) => {
      this.follow(writes);
    });
    this.journal.readFrom((table, id) => (isHeld(table) ? (this.rows[table].get(id) ?? null) : undefined));
  }

  line = (id: string): Line | undefined => this.rows.line.get(id);
  clay = (id: string): Clay | undefined => this.rows.clay.get(id);
  nameOf = (revisionId: string): string => {
    const revision = this.rows.revision.get(revisionId);
    return (revision && this.rows.mix.get(revision.mixId)?.name) ?? 'A mix';
  };

  recipe = (revisionId: string): Recipe | undefined => {
    const revision = this.rows.revision.get(revisionId);
    if (!revision) return undefined;
    const ingredients = this.ingredients(revisionId).map((row) => ({
      parts: new Fraction(row.parts),
      of: materialOf('ingredient', row),
    }));
    return { basis: revision.basis, ingredients };
  };

  /** Itself, as plain data that more can be put beside. */
  asBook(): Book {
    const { clay, line, recipe, nameOf: name, worked } = this;
    return { clay, line, recipe, nameOf: name, worked };
  }

  /** Whether the shelf or the board has what something is to be made of. */
  has = (of: Mixable): boolean =>
    match(of, { clay: ({ id }) => this.rows.clay.has(id), mix: ({ id }) => this.rows.revision.has(id) });

  /** What a clay or a mix is called. */
  called = (of: Mixable): string => nameOf(of, this);

  /** The rows of a revision's recipe, in its order. */
  ingredients(revisionId: string): Row<'ingredient'>[] {
    return [...(this.ingredientsOf.get(revisionId) ?? [])]
      .flatMap((id) => this.rows.ingredient.get(id) ?? [])
      .sort((a, b) => a.position - b.position);
  }

  all<T extends Held>(table: T): Row<T>[] {
    return [...this.rows[table].values()];
  }

  one<T extends Held>(table: T, id: string): Row<T> | undefined {
    return this.rows[table].get(id);
  }

  /** The mix of a name, however it is written in large and small letters. */
  mixNamed(name: string): Row<'mix'> | undefined {
    const [id] = this.mixesByName.get(name.trim().toLowerCase()) ?? [];
    return id === undefined ? undefined : this.rows.mix.get(id);
  }

  blocksOf(clayId: string): Block[] {
    return [...(this.blocksOfClay.get(clayId) ?? [])].flatMap((id) => this.rows.block.get(id) ?? []);
  }

  gramsLeft = (clayId: string): number => this.blocksOf(clayId).reduce((sum, b) => sum + b.leftGrams, 0);

  /** All revisions of a mix, oldest first. */
  revisions(mixId: string): Row<'revision'>[] {
    return [...(this.revisionsOfMix.get(mixId) ?? [])]
      .flatMap((id) => this.rows.revision.get(id) ?? [])
      .sort((a, b) => a.number - b.number);
  }

  newest = (mixId: string): Row<'revision'> | undefined => this.revisions(mixId).at(-1);

  /** The newest revision of a mix, where `revisionId` is an older one. */
  newerThan(revisionId: string): Row<'revision'> | undefined {
    const newest = this.newest(this.one('revision', revisionId)?.mixId ?? '');
    return newest?.id === revisionId ? undefined : newest;
  }

  /**
   * How an ingredient is written in notation: with its line where two clays share a name, with its number where it
   * is not the newest.
   */
  named(ingredient: Recipe['ingredients'][number]): Named {
    const { of } = ingredient;
    if (of.kind === 'clay') {
      const clay = this.clay(of.id);
      return { name: clay ? this.withLine(clay) : 'a clay', revision: null };
    }
    const revision = this.one('revision', of.id);
    return { name: this.nameOf(of.id), revision: revision && this.newerThan(of.id) ? revision.number : null };
  }

  /** A clay with its line, where another one is called the same. */
  private withLine(clay: Clay): string {
    const twins = this.all('clay').filter((c) => c.name.toLowerCase() === clay.name.toLowerCase());
    const line = this.line(clay.lineId);
    return twins.length > 1 && line ? `${clay.name} of ${line.name}` : clay.name;
  }

  notation(recipe: Recipe): string {
    return printNotation(recipe.ingredients.map((i) => ({ parts: i.parts, of: this.named(i) })));
  }

  /** Mixes of which some revision has `revisionId` as an ingredient. */
  usersOf(revisionId: string): Row<'mix'>[] {
    const revisions = [...(this.users.get(revisionId) ?? [])].flatMap(
      (id) => this.rows.ingredient.get(id)?.revisionId ?? [],
    );
    const mixes = new Set(revisions.flatMap((id) => this.rows.revision.get(id)?.mixId ?? []));
    return [...mixes].flatMap((id) => this.rows.mix.get(id) ?? []);
  }

  /** Predicts with what was learned from now on; null: with the defaults. */
  predictWith(learned: Learned | null): void {
    this.predicting = pigmentsWith(learned);
    this.learnedTimes++;
    for (const listener of this.listeners) listener({ all: true, mixes: new Set() });
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
    if (table === 'mix') {
      if (before && 'name' in before) file(this.mixesByName, before.name.toLowerCase(), id, false);
      if (row && 'name' in row) file(this.mixesByName, row.name.toLowerCase(), id, true);
    }
    const owner = row ?? before;
    if (!owner) return;
    if ('mixId' in owner) file(this.revisionsOfMix, owner.mixId, id, row !== null);
    if ('revisionId' in owner) file(this.ingredientsOf, owner.revisionId, id, row !== null);
    if ('netGrams' in owner) file(this.blocksOfClay, owner.clayId, id, row !== null);
  }

  /** The mix that a row belongs to, where it belongs to one. */
  private mixTouched(write: HeldWrite): string | undefined {
    if (write.table === 'mix') return (write.after ?? write.before)?.id;
    if (write.table === 'revision') return (write.after ?? write.before)?.mixId;
    if (write.table !== 'ingredient') return undefined;
    return this.one('revision', (write.after ?? write.before)?.revisionId ?? '')?.mixId;
  }

  private follow(changed: readonly Write[]): void {
    const writes = changed.filter(isHeldWrite);
    const mixes = new Set<string>();
    let all = false;
    if (writes.some((w) => w.table !== 'block' && w.table !== 'mix')) this.worked.clear();
    for (const write of writes) {
      const id = (write.after ?? write.before)?.id;
      if (id === undefined) continue;
      this.hold<Held>(write.table, id, write.after);
      all ||= write.table === 'line' || write.table === 'clay';
      const mixId = this.mixTouched(write);
      if (mixId !== undefined) mixes.add(mixId);
    }
    // a set that grows while it is walked: users of users come along
    for (const mixId of mixes)
      for (const revision of this.revisions(mixId)) for (const user of this.usersOf(revision.id)) mixes.add(user.id);
    for (const listener of this.listeners) listener({ all, mixes });
  }
}

function file(index: Map<string, Set<string>>, key: string, id: string, present: boolean): void {
  const own = index.get(key) ?? new Set();
  if (present) own.add(id);
  else own.delete(id);
  index.set(key, own);
}
