import { Inject, Injectable } from '@nestjs/common';
import { and, asc, desc, eq, getTableColumns, getTableName, sql, type SQL } from 'drizzle-orm';
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

/** A row that names a revision: `user` is the kind of plan that it belongs to, or says that it was made. */
interface Named {
  readonly id: string;
  readonly by: string;
  readonly user: string;
}
const MADE = 'made';

/** Which rows name revisions of a kind, whose ids come as a JSON array. */
function namingQuestion(kind: PlanName): string {
  const { made, usedBy } = planOf(kind);
  const asked = [
    ...made.map(({ table, column }) => ({ table, column, by: column, user: MADE })),
    ...usedBy.map(({ table, column, of, kind: user }) => ({ table, column, by: of, user })),
  ];
  return asked
    .map(({ table, column, by, user }) => {
      const [id, whose] = [column, by].map((name) => `"${columnOf(table, name).name}"`);
      const from = `FROM "${getTableName(tableOf(table))}" WHERE ${id} IN (SELECT value FROM json_each(?1))`;
      return `SELECT DISTINCT ${id} AS id, ${whose} AS whose, '${user}' AS user ${from}`;
    })
    .join(' UNION ALL ');
}

/**
 * The one rule for revisions: a revision that something was made of, or of
 * anything that rests on it, is never written again; a change of what it was
 * made with begins the next. What is not part of it (the name, a note) is
 * changed without.
 */
@Injectable()
export class Revisions {
  private readonly questions = new Map<PlanName, string>();

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

  /**
   * The newest revision of things of a kind, by the id of the thing, read in one go.
   * @param ids of the things; left out: of all
   */
  async newestOfMany<K extends PlanName>(
    kind: K,
    ids?: readonly string[],
  ): Promise<ReadonlyMap<string, Row<RevisionTable<K>>>> {
    const { revision, owner } = planOf(kind);
    const among = ids && sql`${columnOf(revision, owner)} in (select value from json_each(${JSON.stringify(ids)}))`;
    const rows = await this.db
      .select()
      .from(tableOf(revision))
      .where(and(among, this.isTheNewest(kind)));
    return new Map(rows.map((row) => [String(row[owner]), row as Row<RevisionTable<K>>]));
  }

  private isTheNewest(kind: PlanName): SQL {
    const { revision, owner } = planOf(kind);
    const of = columnOf(revision, owner);
    const sameThing = sql`other.${sql.identifier(of.name)} = ${of}`;
    return sql`${columnOf(revision, 'number')} =
      (select max(other.number) from ${tableOf(revision)} as other where ${sameThing})`;
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
    const named = await this.naming(kind, ids);
    const found = new Set(named.filter((row) => row.user === MADE).map((row) => row.id));
    for (const { kind: user } of planOf(kind).usedBy) {
      const users = named.filter((row) => row.user === user && !found.has(row.id));
      const madeUsers = await this.madeOf(
        user,
        users.map((u) => u.by),
      );
      for (const { id, by } of users) if (madeUsers.has(by)) found.add(id);
    }
    return found;
  }

  /** All rows that name some revisions of a kind, in one question that is put together once. */
  private async naming(kind: PlanName, ids: readonly string[]): Promise<readonly Named[]> {
    let question = this.questions.get(kind);
    if (question === undefined) {
      question = namingQuestion(kind);
      this.questions.set(kind, question);
    }
    const { rows } = await this.db.$client.execute({ sql: question, args: [JSON.stringify(ids)] });
    return rows.map((row) => ({ id: String(row.id), by: String(row.whose), user: String(row.user) }));
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
