import { and, asc, desc, eq, inArray, lte, sql, sum } from 'drizzle-orm';
import type { BatchItem } from 'drizzle-orm/batch';
import type { SQLiteTable } from 'drizzle-orm/sqlite-core';
import type { ChangeName, ChangesAnswer } from '#contract';
import type { DataFile, Db } from './dataFile.js';
import { Draft, type HeldRow } from './draft.js';
import { isDifference, keptOf, turnedWrite, type AnyRow, type KeptWrite } from './difference.js';
import { TABLES, changes, counters, type TableName } from './schema.js';
import { readWrite, tableNamed, type Row, type Write } from './writes.js';

export { type Draft, type Row } from './draft.js';
type Statement = BatchItem<'sqlite'>;

/** How many changes can be taken back, and how many bytes they may fill; the older ones are let go. */
const KEPT = 5000;
const KEPT_BYTES = 16_000_000;
/** Trimmed only when it is so much beyond, so that not every change trims. */
const SLACK = 1.05;
const ORDER: readonly string[] = Object.keys(TABLES);
const rank = (write: Write): number => ORDER.indexOf(write.table);
const sizeOf = (writes: readonly KeptWrite[]): number => JSON.stringify(writes).length;

/** Sledge is about to end and writes no more. */
export class Stopping extends Error {}

/** What is told of each change that was written: its rows. */
type Listener = (writes: readonly Write[]) => void;

/**
 * The only way to write. Changes run one after the other; each is one
 * transaction that holds its rows, its entry in the list of changes, and
 * the version counter, so that all of it can be taken back. It is answered
 * when it is on the disk; those that wait together share one flush.
 */
export class Journal {
  private queue: Promise<unknown> = Promise.resolve();
  private readonly listeners: Listener[] = [];
  private readonly tellers: ((changeId: string) => void)[] = [];
  /** ids of the changes that were written and not told yet */
  private readonly written: string[] = [];
  private stopping = false;

  /** ids of the changes that were carried out */
  private readonly known = new Set<string>();
  private held: HeldRow = () => undefined;
  private undone = false;
  private version = 0;
  /** of the list of changes */
  private count = 0;
  private bytes = 0;

  private constructor(private readonly file: DataFile) {}

  private get db(): Db {
    return this.file.db;
  }

  static async open(file: DataFile): Promise<Journal> {
    const journal = new Journal(file);
    await journal.read();
    await journal.trim();
    await file.giveRoomBack();
    return journal;
  }

  private async read(): Promise<void> {
    const [counter] = await this.db.select().from(counters).where(eq(counters.id, 'version'));
    this.version = counter?.value ?? 0;
    const before = await this.db.select({ id: changes.id, state: changes.state }).from(changes);
    for (const { id } of before) this.known.add(id);
    this.undone = before.some((change) => change.state === 'undone');
    const [size] = await this.db.select({ bytes: sum(sql`length(${changes.writes})`) }).from(changes);
    this.count = before.length;
    this.bytes = Number(size?.bytes ?? 0);
  }

  /** Lets changes read the rows that `held` keeps in step, instead of the file. */
  readFrom(held: HeldRow): void {
    this.held = held;
  }

  /** Calls `tell` with the id of every change that is on the disk, also when it is taken back or done again. */
  onWritten(tell: (changeId: string) => void): void {
    this.tellers.push(tell);
  }

  /** Calls `listener` with the rows of every change before the next begins, for what is held in memory. */
  onChange(listener: Listener): void {
    this.listeners.push(listener);
  }

  /** An answer: when the turn is over and all that it wrote is on the disk. Others have their turn meanwhile. */
  private async onDisk<T>(turn: Promise<T>): Promise<T> {
    const done = await turn;
    const written = this.written.splice(0);
    await this.file.onDisk();
    for (const changeId of written) for (const tell of this.tellers) tell(changeId);
    return done;
  }

  private inTurn<T>(work: () => Promise<T>): Promise<T> {
    if (this.stopping) return Promise.reject(new Stopping('Sledge is about to end.'));
    const result = this.queue.then(work);
    // an answer goes out before the next change begins, or many at once would all wait for the last
    this.queue = result
      .catch(() => undefined)
      .then(
        () =>
          new Promise((resolve) => {
            setImmediate(resolve);
          }),
      );
    return result;
  }

  /**
   * Writes what is no change to take back (a picture that nothing shows yet,
   * what was learned), or reads the file while nothing is written.
   */
  beside<T>(work: () => Promise<T>): Promise<T> {
    const turn = this.inTurn(async () => {
      const done = await work();
      await this.afterWriting();
      return done;
    });
    return this.onDisk(turn);
  }

  /** Lets what has begun come to its end and takes nothing more on. */
  async stop(): Promise<void> {
    this.stopping = true;
    await this.queue;
    await this.file.onDisk().catch(this.failed);
  }

  /**
   * Carries out one change. A change id that was carried out before does
   * nothing, so a request whose answer was lost may be sent again.
   * @returns false where the change had been carried out before
   */
  change(id: string, work: (draft: Draft) => Promise<void>): Promise<boolean> {
    const turn = this.inTurn(async () => {
      if (this.known.has(id)) return false;
      const draft = new Draft(this.db, this.version + 1, this.held);
      await work(draft);
      if (draft.writes.length === 0) return true;
      const writes = draft.writes.map(keptOf);
      const at = new Date().toISOString();
      const entry = { id, at, summary: draft.summary, state: 'done' as const, writes };
      await this.commit(id, draft.writes, [
        ...(this.undone ? [this.db.update(changes).set({ state: 'dropped' }).where(eq(changes.state, 'undone'))] : []),
        this.db.insert(changes).values(entry),
      ]);
      this.known.add(id);
      this.undone = false;
      this.count += 1;
      this.bytes += sizeOf(writes);
      await this.afterWriting();
      return true;
    });
    return this.onDisk(turn);
  }

  /**
   * Takes the newest change back.
   * @param expects the change it has to be; where it is another one, nothing is done and the answer names it
   */
  undo(expects?: string, changeId = ''): Promise<ChangesAnswer> {
    return this.step('undo', expects, changeId);
  }

  /** Does the change again that was taken back last. */
  redo(expects?: string, changeId = ''): Promise<ChangesAnswer> {
    return this.step('redo', expects, changeId);
  }

  private async next(way: 'undo' | 'redo'): Promise<typeof changes.$inferSelect | undefined> {
    const [from, order] = way === 'undo' ? ['done' as const, desc(changes.seq)] : ['undone' as const, asc(changes.seq)];
    const [entry] = await this.db.select().from(changes).where(eq(changes.state, from)).orderBy(order).limit(1);
    return entry;
  }

  private step(way: 'undo' | 'redo', expects: string | undefined, changeId: string): Promise<ChangesAnswer> {
    const turn = this.inTurn(async () => {
      const entry = await this.next(way);
      if (!entry || (expects !== undefined && entry.id !== expects)) return this.state(null);
      const back = way === 'undo';
      const writes = await Promise.all(entry.writes.map(async (write) => this.turned(write, back)));
      const to = back ? 'undone' : 'done';
      await this.commit(changeId, writes, [
        this.db.update(changes).set({ state: to }).where(eq(changes.seq, entry.seq)),
      ]);
      this.undone ||= back;
      await this.afterWriting();
      return this.state(`${back ? 'Taken back' : 'Done again'}: ${entry.summary}`);
    });
    return this.onDisk(turn);
  }

  private async turned(write: KeptWrite, back: boolean): Promise<Write> {
    const row = isDifference(write) ? await this.rowOf(tableNamed(write.table), write.id) : undefined;
    const { table, before, after } = turnedWrite(write, row, back);
    // versions only grow, so that no window takes an old state for the new one
    const stamped = after && 'version' in after ? { ...after, version: this.version + 1 } : after;
    return readWrite({ table, before, after: stamped });
  }

  private async rowOf(table: TableName, id: string): Promise<AnyRow | undefined> {
    return new Draft(this.db, this.version, this.held).find(table, id);
  }

  /** What undo and redo would do next. */
  async state(did: string | null = null): Promise<ChangesAnswer> {
    const one = async (state: 'done' | 'undone'): Promise<ChangeName | null> => {
      const [row] = await this.db
        .select({ id: changes.id, summary: changes.summary, at: changes.at })
        .from(changes)
        .where(and(eq(changes.state, state)))
        .orderBy(state === 'done' ? desc(changes.seq) : asc(changes.seq))
        .limit(1);
      return row ?? null;
    };
    return { undo: await one('done'), redo: await one('undone'), did };
  }

  /** After a change is on the disk: the room that it takes. What goes wrong here takes nothing of it back. */
  private async afterWriting(): Promise<void> {
    try {
      if (this.count > KEPT * SLACK || this.bytes > KEPT_BYTES * SLACK) await this.trim();
      await this.file.afterWriting();
    } catch (error) {
      this.failed(error);
    }
  }

  /** Called with what went wrong after a change was written. */
  private failed: (error: unknown) => void = () => undefined;
  onFailure(listener: (error: unknown) => void): void {
    this.failed = listener;
  }

  /** Lets go the oldest changes beyond the number and the bytes that are kept. */
  private async trim(): Promise<void> {
    if (this.count <= KEPT && this.bytes <= KEPT_BYTES) return;
    const sizes = await this.db
      .select({ seq: changes.seq, bytes: sql<number>`length(${changes.writes})` })
      .from(changes)
      .orderBy(desc(changes.seq));
    let [count, bytes] = [0, 0];
    // the newest is kept whatever its size
    const first = sizes.find(({ bytes: own }) => {
      const over = count > 0 && (count + 1 > KEPT || bytes + own > KEPT_BYTES);
      if (!over) {
        count += 1;
        bytes += own;
      }
      return over;
    });
    if (first) await this.db.delete(changes).where(lte(changes.seq, first.seq));
    this.count = count;
    this.bytes = bytes;
  }

  private async commit(changeId: string, writes: readonly Write[], more: readonly Statement[]): Promise<void> {
    const version = this.version + 1;
    const inOrder = [...writes].sort((a, b) => rank(a) - rank(b));
    const gone = inOrder.filter((w) => w.after === null).reverse();
    const kept = inOrder.filter((w) => w.after !== null);
    await this.db.batch([
      this.db.run(sql`PRAGMA defer_foreign_keys = ON`),
      ...gone.map((w) => this.erase(w)),
      ...inRuns(kept).flatMap((run) => this.writeRun(run)),
      this.db
        .insert(counters)
        .values({ id: 'version', value: version })
        .onConflictDoUpdate({ target: counters.id, set: { value: version } }),
      ...more,
    ]);
    this.version = version;
    for (const listener of this.listeners) listener(inOrder);
    this.written.push(changeId);
  }

  private erase({ table, before }: Write): Statement {
    const from = TABLES[table];
    return this.db.delete(from).where(inArray(from.id, before ? [before.id] : []));
  }

  /** New rows of one table go in together. */
  private writeRun(run: readonly Write[]): Statement[] {
    const [first] = run;
    if (!first || first.before !== null) return run.flatMap((w) => (w.after ? [this.write(w.table, w.after)] : []));
    const rows = run.flatMap((w) => (w.after ? [w.after] : []));
    return [this.db.insert(anyTable(first.table)).values(rows)];
  }

  private write(table: TableName, row: Row<TableName>): Statement {
    const into = anyTable(table);
    return this.db.insert(into).values(row).onConflictDoUpdate({ target: TABLES[table].id, set: row });
  }
}

/** A table as one of any: what is written to it is a row of it (writes.ts). */
const anyTable = (table: TableName): SQLiteTable => TABLES[table];

/** Rows that go into one statement at most: SQLite takes 32,766 values. */
const MOST_IN_RUN = 200;

/** Neighbours that go into one table, all new or all not. */
function inRuns(writes: readonly Write[]): Write[][] {
  const runs: Write[][] = [];
  for (const write of writes) {
    const last = runs.at(-1);
    const [first] = last ?? [];
    if (
      last &&
      first &&
      first.table === write.table &&
      (first.before === null) === (write.before === null) &&
      last.length < MOST_IN_RUN
    )
      last.push(write);
    else runs.push([write]);
  }
  return runs;
}
