import { and, desc, eq, gt, inArray, lte, asc, sql } from 'drizzle-orm';
import type { BatchItem } from 'drizzle-orm/batch';
import type { ChangesAnswer } from '#contract';
import type { Db } from './open.js';
import { TABLES, changes, counters, type RowWrite, type TableName } from './schema.js';

export type Row<T extends TableName> = (typeof TABLES)[T]['$inferSelect'];
type AnyRow = Readonly<Record<string, unknown>> & { readonly id: string };
type Statement = BatchItem<'sqlite'>;

/** How many changes can be taken back, and after how many the older ones are let go. */
const KEPT = 5000;
const TRIM_EVERY = 100;
const ORDER = Object.keys(TABLES) as TableName[];
const rank = (write: RowWrite): number => ORDER.indexOf(write.table as TableName);

/** A row that somebody holds in memory; null: they hold its table, and it is not there; undefined: look in the file. */
export type HeldRow = (table: TableName, id: string) => AnyRow | null | undefined;

/** The rows that one change writes. Nothing reaches the file before the whole change is ready. */
export class Draft {
  /** What undo will call this change, as in “took 14 g of Carrot”. */
  summary = '';
  readonly writes: RowWrite[] = [];
  constructor(readonly db: Db, readonly version: number, private readonly held: HeldRow) {}

  async find<T extends TableName>(table: T, id: string): Promise<Row<T> | undefined> {
    const held = this.held(table, id);
    if (held !== undefined) return (held ?? undefined) as Row<T> | undefined;
    const from = TABLES[table];
    const [row] = await this.db.select().from(from).where(eq(from.id, id));
    return row as Row<T> | undefined;
  }

  /** Writes a row, new or not. */
  async put<T extends TableName>(table: T, row: Row<T>): Promise<void> {
    this.record(table, (await this.find(table, row.id)) ?? null, row);
  }

  /** Writes `wanted` and takes away those of `before` that are not in it. */
  replace<T extends TableName>(table: T, before: readonly Row<T>[], wanted: readonly Row<T>[]): void {
    const old = new Map(before.map((row) => [row.id, row]));
    for (const row of wanted) {
      this.record(table, old.get(row.id) ?? null, row);
      old.delete(row.id);
    }
    for (const row of old.values()) this.record(table, row, null);
  }

  remove<T extends TableName>(table: T, rows: readonly Row<T>[]): void {
    this.replace(table, rows, []);
  }

  private record(table: string, before: AnyRow | null, after: AnyRow | null): void {
    if (JSON.stringify(before) !== JSON.stringify(after)) this.writes.push({ table, before, after });
  }
}

type Listener = (writes: readonly RowWrite[]) => void;

/**
 * The only way to write. Changes run one after the other; each is one
 * transaction that holds its rows, its entry in the list of changes, and
 * the version counter, so that all of it can be taken back.
 */
export class Journal {
  private queue: Promise<unknown> = Promise.resolve();
  private readonly listeners: Listener[] = [];

  /** ids of the changes that were carried out */
  private readonly known: Set<string>;
  private held: HeldRow = () => undefined;
  private undone: boolean;
  private sinceTrimmed = 0;

  private constructor(private readonly db: Db, private version: number, before: readonly { id: string; state: string }[]) {
    this.known = new Set(before.map((change) => change.id));
    this.undone = before.some((change) => change.state === 'undone');
  }

  static async open(db: Db): Promise<Journal> {
    const [counter] = await db.select().from(counters);
    return new Journal(db, counter?.value ?? 0, await db.select({ id: changes.id, state: changes.state }).from(changes));
  }

  /** Lets changes read the rows that `held` keeps in step, instead of the file. */
  readFrom(held: HeldRow): void {
    this.held = held;
  }

  /** Calls `listener` with the rows of every change, also when it is taken back or done again. */
  onChange(listener: Listener): void {
    this.listeners.push(listener);
  }

  private inTurn<T>(work: () => Promise<T>): Promise<T> {
    const result = this.queue.then(work);
    // an answer goes out before the next change begins, or many at once would all wait for the last
    this.queue = result.catch(() => undefined).then(() => new Promise((resolve) => { setImmediate(resolve); }));
    return result;
  }

  /**
   * Carries out one change. A change id that was carried out before does
   * nothing, so a request whose answer was lost may be sent again.
   * @returns false where the change had been carried out before
   */
  change(id: string, work: (draft: Draft) => Promise<void>): Promise<boolean> {
    return this.inTurn(async () => {
      if (this.known.has(id)) return false;
      const draft = new Draft(this.db, this.version + 1, this.held);
      await work(draft);
      if (draft.writes.length === 0) return true;
      const entry = { id, at: new Date().toISOString(), summary: draft.summary, state: 'done' as const, writes: draft.writes };
      await this.commit(draft.writes, [
        ...(this.undone ? [this.db.update(changes).set({ state: 'dropped' }).where(eq(changes.state, 'undone'))] : []),
        this.db.insert(changes).values(entry),
        ...(++this.sinceTrimmed % TRIM_EVERY === 0
          ? [this.db.delete(changes).where(lte(changes.seq, sql`(SELECT max(${changes.seq}) FROM ${changes}) - ${KEPT}`))] : []),
      ]);
      this.known.add(id);
      this.undone = false;
      return true;
    });
  }

  /** Takes the newest change back. */
  undo(): Promise<ChangesAnswer> {
    return this.step('done', 'undone', 'Taken back');
  }

  /** Does the change again that was taken back last. */
  redo(): Promise<ChangesAnswer> {
    return this.step('undone', 'done', 'Done again');
  }

  private step(from: 'done' | 'undone', to: 'done' | 'undone', word: string): Promise<ChangesAnswer> {
    return this.inTurn(async () => {
      const [entry] = await this.db.select().from(changes).where(eq(changes.state, from))
        .orderBy(from === 'done' ? desc(changes.seq) : asc(changes.seq)).limit(1);
      if (!entry) return this.state(null);
      const writes = from === 'undone' ? entry.writes
        : entry.writes.map(({ table, before, after }) => ({ table, before: after, after: before }));
      const stamped = writes.map((write) => (write.after && 'version' in write.after
        ? { ...write, after: { ...write.after, version: this.version + 1 } } : write));
      await this.commit(stamped, [this.db.update(changes).set({ state: to }).where(eq(changes.seq, entry.seq))]);
      this.undone ||= to === 'undone';
      return this.state(`${word}: ${entry.summary}`);
    });
  }

  /** What undo and redo would do next. */
  async state(did: string | null = null): Promise<ChangesAnswer> {
    const one = async (state: 'done' | 'undone'): Promise<string | null> => {
      const [row] = await this.db.select({ summary: changes.summary }).from(changes)
        .where(and(eq(changes.state, state), gt(changes.seq, 0)))
        .orderBy(state === 'done' ? desc(changes.seq) : asc(changes.seq)).limit(1);
      return row?.summary ?? null;
    };
    return { undo: await one('done'), redo: await one('undone'), did };
  }

  private async commit(writes: readonly RowWrite[], more: readonly Statement[]): Promise<void> {
    const version = this.version + 1;
    const inOrder = [...writes].sort((a, b) => rank(a) - rank(b));
    const gone = inOrder.filter((w) => w.after === null).reverse();
    const kept = inOrder.filter((w) => w.after !== null);
    await this.db.batch([
      this.db.run(sql`PRAGMA defer_foreign_keys = ON`),
      ...gone.map((w) => this.erase(w)),
      ...inRuns(kept).flatMap((run) => this.writeRun(run)),
      this.db.insert(counters).values({ id: 'version', value: version })
        .onConflictDoUpdate({ target: counters.id, set: { value: version } }),
      ...more,
    ]);
    this.version = version;
    for (const listener of this.listeners) listener(inOrder);
  }

  private erase({ table, before }: RowWrite): Statement {
    const from = TABLES[table as TableName];
    return this.db.delete(from).where(inArray(from.id, [(before as AnyRow).id]));
  }

  /** New rows of one table go in together. */
  private writeRun(run: readonly RowWrite[]): Statement[] {
    const [first] = run;
    if (!first || first.before !== null) return run.map((w) => this.write(w));
    return [this.db.insert(TABLES[first.table as TableName]).values(run.map((w) => w.after as never))];
  }

  private write({ table, after }: RowWrite): Statement {
    const into = TABLES[table as TableName];
    const row = after as AnyRow;
    return this.db.insert(into).values(row as never).onConflictDoUpdate({ target: into.id, set: row as never });
  }
}

/** Rows that go into one statement at most: SQLite takes 32,766 values. */
const MOST_IN_RUN = 200;

/** Neighbours that go into one table, all new or all not. */
function inRuns(writes: readonly RowWrite[]): RowWrite[][] {
  const runs: RowWrite[][] = [];
  for (const write of writes) {
    const last = runs.at(-1);
    const [first] = last ?? [];
    if (last && first && first.table === write.table && (first.before === null) === (write.before === null) && last.length < MOST_IN_RUN) last.push(write);
    else runs.push([write]);
  }
  return runs;
}
