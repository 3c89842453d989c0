import { accessSync, constants, existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { createClient, type Client } from '@libsql/client';
import { drizzle, type LibSQLDatabase } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import { Fault } from '#core/units';
import { CopyShelf } from './copyShelf.js';
import { mendFirstVersion } from './firstVersion.js';
import { AheadFile, Flush } from './flush.js';
import { APPLICATION_ID, MIGRATIONS, knownMigrations, readHeader, refuseVersion } from './header.js';
import { takeLock, type Lock } from './lock.js';
import * as schema from './schema.js';
import { workIn, workInLast } from './stamps.js';
import { keepStatements } from './statements.js';
import { UnusableDatabase, asUnusable } from './unusable.js';
import { setAsideForeign } from './writeAhead.js';

export type Db = LibSQLDatabase<typeof schema> & { $client: Client };

/** Bytes of the write-ahead file after which it is worked into the database. */
const MOST_AHEAD = 4_000_000;
/** Room is given back when so much of the file is free: a share of its pages, and a number of them. */
const FREE_SHARE = 0.2;
const FREE_PAGES = 256;

async function pragma(client: Client, name: string): Promise<number> {
  return Number((await client.execute(`PRAGMA ${name}`)).rows[0]?.[0] ?? 0);
}

/** The number of the last change, 0 in a file without any. */
async function lastChange(client: Client): Promise<number> {
  const { rows } = await client.execute("SELECT value FROM counter WHERE id = 'version'");
  return Number(rows[0]?.value ?? 0);
}

/** @throws UnusableDatabase for a database that another program made without saying so */
async function refuseStranger(client: Client, file: string): Promise<void> {
  const [version, application] = [await pragma(client, 'user_version'), await pragma(client, 'application_id')];
  refuseVersion(file, { version, application });
  if (application === APPLICATION_ID) return;
  const { rows } = await client.execute("SELECT name FROM sqlite_master WHERE name NOT LIKE 'sqlite_%'");
  const names = new Set(rows.map((row) => String(row.name)));
  // an end in the middle of the first start leaves the list of migrations, and no mark yet
  if (names.size === 0 || names.has('__drizzle_migrations')) return;
  throw new UnusableDatabase(
    `${file} belongs to another program. It was not touched. Set SLEDGE_DATA to another folder.`,
  );
}

/** @throws UnusableDatabase where the pages of the file do not fit together */
async function refuseDamaged(client: Client, file: string): Promise<void> {
  const [row] = (await client.execute('PRAGMA quick_check(1)')).rows;
  if (Object.values(row ?? {})[0] !== 'ok') throw asUnusable(new Error('SQLITE_CORRUPT'), file);
}

async function bringUpToDate(client: Client, db: Db, file: string, copies: CopyShelf | null): Promise<void> {
  const version = await pragma(client, 'user_version');
  if (version >= knownMigrations().length) return;
  if (version > 0 && copies !== null) {
    await client.execute('PRAGMA wal_checkpoint(TRUNCATE)');
    await copies.takeDated(file, 'before an update', await lastChange(client));
  }
  // the mark comes first, so that a start that is cut off is known again
  await client.execute(`PRAGMA application_id = ${APPLICATION_ID}`);
  await mendFirstVersion(client);
  await migrate(db, { migrationsFolder: MIGRATIONS() });
  await client.execute(`PRAGMA user_version = ${knownMigrations().length}`);
  await client.execute('PRAGMA foreign_keys = ON');
}

/** @returns the sentence where none could be kept, so that the start goes on */
async function copyAtStart(client: Client, file: string, copies: CopyShelf): Promise<string | null> {
  const change = await lastChange(client);
  if (change === 0) return null;
  try {
    await copies.takeDated(file, 'at start', change);
    return null;
  } catch (error) {
    const known = asUnusable(error, file);
    const why = known instanceof UnusableDatabase ? known.message : String(error);
    return `No copy could be kept at this start: ${why}`;
  }
}

/** Takes away what looking at a write-ahead file has left, where that was cut off. */
function tidy(folder: string): void {
  for (const name of readdirSync(folder).filter((n) => n.startsWith('.look-')))
    rmSync(join(folder, name), { recursive: true, force: true });
}

/**
 * The one file with a person's data, open: the database, the lock beside it,
 * and the folder of its copies. Whoever writes does so through the journal,
 * one after the other.
 */
export class DataFile {
  private closed = false;
  private readonly aheadFile: AheadFile;
  private readonly flush: Flush;

  private constructor(
    readonly file: string,
    readonly db: Db,
    readonly copies: CopyShelf,
    /** what happened at opening that the person should know */
    readonly notices: readonly string[],
    private readonly lock: Lock,
  ) {
    this.aheadFile = new AheadFile(`${file}-wal`);
    this.flush = new Flush(() => this.aheadFile.flush());
  }

  /**
   * Opens a database file, makes it where there is none and brings an older
   * one up to date, with a copy of what was there before.
   * @param copies whether dated copies are kept beside it; not for a file that is one itself
   * @throws UnusableDatabase with the sentence; the file is left as it was. RunningAlready
   */
  static async open(file: string, { copies = true } = {}): Promise<DataFile> {
    try {
      const folder = dirname(file);
      mkdirSync(folder, { recursive: true });
      accessSync(folder, constants.R_OK | constants.W_OK);
      if (existsSync(file)) readHeader(file);
      const lock = await takeLock(file);
      try {
        return await DataFile.openLocked(file, lock, copies);
      } catch (error) {
        lock.release();
        throw error;
      }
    } catch (error) {
      throw asUnusable(error, file);
    }
  }

  private static async openLocked(file: string, lock: Lock, keepCopies: boolean): Promise<DataFile> {
    tidy(dirname(file));
    const copies = new CopyShelf(file);
    copies.tidy();
    const aside = await setAsideForeign(file);
    // one connection: what is set here holds for every statement
    keepStatements();
    const client = createClient({ url: `file:${file}`, concurrency: 1 });
    try {
      await refuseStranger(client, file);
      await refuseDamaged(client, file);
      await client.execute('PRAGMA journal_mode = WAL');
      // what is written is flushed by `onDisk`, before it is answered, so that changes at the same time share a flush
      await client.execute('PRAGMA synchronous = NORMAL');
      await client.execute('PRAGMA foreign_keys = ON');
      await client.execute('PRAGMA wal_autocheckpoint = 0');
      const db = drizzle(client, { schema });
      await bringUpToDate(client, db, file, keepCopies ? copies : null);
      await workIn(client);
      const notCopied = keepCopies ? await copyAtStart(client, file, copies) : null;
      const notices = [aside, notCopied].filter((notice): notice is string => notice !== null);
      return new DataFile(file, db, copies, notices, lock);
    } catch (error) {
      client.close();
      throw error;
    }
  }

  /** Tells a second Sledge on the same data where this one answers. */
  announce(address: string): void {
    this.lock.announce(address);
  }

  /**
   * Resolves when everything that was written before is on the disk, also when the power goes.
   * @throws Error as the disk said it
   */
  onDisk(): Promise<void> {
    return this.flush.onDisk();
  }

  /** Bytes of the write-ahead file. */
  private ahead(): number {
    const path = `${this.file}-wal`;
    return existsSync(path) ? statSync(path).size : 0;
  }

  /** Works the write-ahead file in where it has grown large. To be called by the journal, when nothing else writes. */
  async afterWriting(): Promise<void> {
    if (this.ahead() > MOST_AHEAD) await workIn(this.db.$client);
  }

  /**
   * Copies the whole of the data. To be called in turn, when nothing else writes.
   * @throws Error where somebody reads for too long
   */
  async copy(take: (file: string, change: number) => Promise<void>): Promise<void> {
    if (!(await workIn(this.db.$client)))
      throw new Fault('a copy was made', 'The write-ahead file could not be worked in.');
    await take(this.file, await lastChange(this.db.$client));
  }

  /**
   * Counts changes on from another state of the data, so that a version never
   * stands for two states: neither in a window nor in the name of a copy.
   */
  async countOnFrom(change: number): Promise<void> {
    await this.db.$client.execute({
      sql:
        "INSERT INTO counter (id, value) VALUES ('version', ?) ON CONFLICT (id) DO UPDATE SET value = " +
        'max(value, excluded.value)',
      args: [change + 1],
    });
  }

  /** Gives room back that changes of long ago have left free. To be called in turn, when nothing else writes. */
  async giveRoomBack(): Promise<void> {
    const { $client: client } = this.db;
    const [free, all] = [await pragma(client, 'freelist_count'), await pragma(client, 'page_count')];
    if (free <= FREE_PAGES || free <= FREE_SHARE * all) return;
    await client.execute('VACUUM');
    await workIn(client);
  }

  /**
   * Works everything into the one file and closes it.
   * @param replaceBy a whole database that takes its place
   */
  async close(replaceBy?: string): Promise<void> {
    if (this.closed) return;
    this.closed = true;
    try {
      // on a full disk this fails; the write-ahead file then stays and has it all
      const whole = await workInLast(this.db.$client).catch(() => false);
      await this.flush.settled();
      await this.aheadFile.close();
      this.db.$client.close();
      if (whole) for (const ending of ['-wal', '-shm']) rmSync(`${this.file}${ending}`, { force: true });
      if (replaceBy !== undefined) renameSync(replaceBy, this.file);
    } finally {
      this.lock.release();
    }
  }
}
