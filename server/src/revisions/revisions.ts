import { Inject, Injectable } from '@nestjs/common';
import { asc, desc, eq, getTableColumns, inArray } from 'drizzle-orm';
import type { SQLiteColumn, SQLiteTable } from 'drizzle-orm/sqlite-core';
import { randomUUID } from 'node:crypto';
import { Fault } from '#core/units';
import { refused } from '../access/problem.js';
import { DB } from '../db/db.module.js';
import type { Db } from '../db/dataFile.js';
import type { Row } from '../db/journal.js';
import { TABLES, type TableName } from '../db/schema.js';
import { planOf, type PlanName, type RevisionTable, type ThingTable } from './kinds.js';

/** What the revision is that a change is written to. `before`: it was there, and is written over. */
export interface Written<R> {
  readonly id: string;
  readonly number: number;
  readonly createdAt: string;
  readonly before: R | undefined;
}

const tableOf = (name: TableName): SQLiteTable => TABLES[name];

function columnOf(name: TableName, column: string): SQLiteColumn {
  const found = getTableColumns(tableOf(name))[column] as SQLiteColumn | undefined;
  if (!found) throw new Fault('a revision was looked for', `The table ${name} has no column ${column}.`);
  return found;
}

/**
 * The one rule for revisions: a revision that something was made of, or of
 * anything that rests on it, is never written again; a change of what it was
 * made with begins the next. What is not part of it (the name, a note) is
 * changed without.
 */
@Injectable()
export class Revisions {
  constructor(@Inject(DB) private readonly db: Db) {}

  /** All things of a kind, newest first. */
  async all<K extends PlanName>(kind: K): Promise<Row<ThingTable<K>>[]> {
    const { thing } = planOf(kind);
    const rows = await this.db
      .select()
      .from(tableOf(thing))
      .orderBy(desc(columnOf(thing, 'version')));
    return rows as Row<ThingTable<K>>[];
  }

  async thing<K extends PlanName>(kind: K, id: string): Promise<Row<ThingTable<K>> | undefined> {
    const { thing } = planOf(kind);
    const [row] = await this.db
      .select()
      .from(tableOf(thing))
      .where(eq(columnOf(thing, 'id'), id));
    return row as Row<ThingTable<K>> | undefined;
  }

  /** Oldest first. */
  async of<K extends PlanName>(kind: K, thingId: string): Promise<Row<RevisionTable<K>>[]> {
    const { revision, owner } = planOf(kind);
    const rows = await this.db
      .select()
      .from(tableOf(revision))
      .where(eq(columnOf(revision, owner), thingId))
      .orderBy(asc(columnOf(revision, 'number')));
    return rows as Row<RevisionTable<K>>[];
  }

  async newest<K extends PlanName>(kind: K, thingId: string): Promise<Row<RevisionTable<K>> | undefined> {
    return (await this.of(kind, thingId)).at(-1);
  }

  async one<K extends PlanName>(kind: K, id: string): Promise<Row<RevisionTable<K>> | undefined> {
    const { revision } = planOf(kind);
    const [row] = await this.db
      .select()
      .from(tableOf(revision))
      .where(eq(columnOf(revision, 'id'), id));
    return row as Row<RevisionTable<K>> | undefined;
  }

  /** Whether a revision is the newest of its thing: who uses an older one is told so. */
  async isNewest<K extends PlanName>(kind: K, revision: { readonly id: string }, thingId: string): Promise<boolean> {
    return (await this.newest(kind, thingId))?.id === revision.id;
  }

  /** @throws ProblemException where another thing of the kind is called so */
  async checkName(kind: PlanName, id: string, name: string): Promise<void> {
    const wanted = name.trim().toLowerCase();
    const twin = (await this.all(kind)).find((row) => row.name.toLowerCase() === wanted && row.id !== id);
    if (twin) throw refused(`There is a ${planOf(kind).word} called ${name.trim()} already.`, 'name');
  }

  /** Those of some revisions that something was made of, or of anything that rests on them. */
  async madeOf(kind: PlanName, ids: readonly string[]): Promise<Set<string>> {
    if (ids.length === 0) return new Set();
    const { made, usedBy } = planOf(kind);
    const found = new Set<string>();
    for (const { table, column } of made)
      for (const { id } of await this.naming(table, column, column, ids)) found.add(id);
    for (const use of usedBy) {
      const left = ids.filter((id) => !found.has(id));
      if (left.length === 0) break;
      const users = await this.naming(use.table, use.column, use.of, left);
      const madeUsers = await this.madeOf(
        use.kind,
        users.map((u) => u.by),
      );
      for (const { id, by } of users) if (madeUsers.has(by)) found.add(id);
    }
    return found;
  }

  /** Rows whose column names one of some ids: which, and what another column of them says. */
  private async naming(
    table: TableName,
    column: string,
    by: string,
    ids: readonly string[],
  ): Promise<{ readonly id: string; readonly by: string }[]> {
    const rows = await this.db
      .selectDistinct({ id: columnOf(table, column), by: columnOf(table, by) })
      .from(tableOf(table))
      .where(inArray(columnOf(table, column), [...ids]));
    return rows as { id: string; by: string }[];
  }

  /**
   * Where a change is written: over the newest revision, or, where that was
   * made and the change touches what it was made with, in a new one.
   */
  async written<R extends { readonly id: string; readonly number: number; readonly createdAt: string }>(
    kind: PlanName,
    newest: R | undefined,
    changed: boolean,
  ): Promise<Written<R>> {
    const closed = newest !== undefined && changed && (await this.madeOf(kind, [newest.id])).has(newest.id);
    if (newest && !closed) {
      const { id, number, createdAt } = newest;
      return { id, number, createdAt, before: newest };
    }
    const number = (newest?.number ?? 0) + 1;
    return { id: randomUUID(), number, createdAt: new Date().toISOString(), before: undefined };
  }
}
