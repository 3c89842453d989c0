import { existsSync, mkdirSync, openSync, readFileSync, readSync, closeSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { createClient, type Client } from '@libsql/client';
import { drizzle, type LibSQLDatabase } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import { projectRoot } from './root.js';
import * as schema from './schema.js';

export type Db = LibSQLDatabase<typeof schema> & { $client: Client };

/** A database file that Sledge will not touch, with the sentence that says why. */
export class UnusableDatabase extends Error {}

const MIGRATIONS = (): string => join(projectRoot(), 'server', 'migrations');
const MAGIC = 'SQLite format 3\0';
/** Stands in the header of every file of ours, so that another program's database is not mistaken for one. */
const APPLICATION_ID = 0x534c4447;

interface MigrationList { readonly entries: readonly { readonly when: number }[] }

/** How many migrations this version knows. It is written into the file as its user version. */
function knownMigrations(): number {
  const list = JSON.parse(readFileSync(join(MIGRATIONS(), 'meta', '_journal.json'), 'utf8')) as MigrationList;
  return list.entries.length;
}

/** Looks at the header with plain file reads, so that a refused file stays as it is to the byte. */
function refuseForeign(file: string): void {
  const header = Buffer.alloc(100);
  const handle = openSync(file, 'r');
  const length = readSync(handle, header, 0, 100, 0);
  closeSync(handle);
  if (length === 0) return;
  if (length < 100 || header.toString('latin1', 0, 16) !== MAGIC) {
    throw new UnusableDatabase(`${file} is not a database of Sledge. It was not touched. Move it away, or set SLEDGE_DATA to another folder.`);
  }
  refuseVersion(file, header.readUInt32BE(60), header.readUInt32BE(68));
}

function refuseVersion(file: string, version: number, application: number): void {
  if (application !== 0 && application !== APPLICATION_ID) {
    throw new UnusableDatabase(`${file} belongs to another program. It was not touched. Set SLEDGE_DATA to another folder.`);
  }
  if (version > knownMigrations()) {
    throw new UnusableDatabase(`${file} was written by a newer Sledge (${version}, this one knows ${knownMigrations()}). It was not touched. Start the newer Sledge, or set SLEDGE_DATA to another folder.`);
  }
}

/**
 * Opens the database file, makes it where there is none and brings an older
 * one up to date.
 * @throws UnusableDatabase for a file of a newer version or of another kind; the file is left as it was
 */
export async function openDatabase(file: string): Promise<Db> {
  mkdirSync(dirname(file), { recursive: true });
  if (existsSync(file)) refuseForeign(file);
  const client = createClient({ url: `file:${file}` });
  const pragma = async (name: string): Promise<number> =>
    Number((await client.execute(`PRAGMA ${name}`)).rows[0]?.[0] ?? 0);
  try {
    refuseVersion(file, await pragma('user_version'), await pragma('application_id'));
    await client.execute('PRAGMA journal_mode = WAL');
    // FULL: an answer is given only when the change is on the disk, also when the power goes
    await client.execute('PRAGMA synchronous = FULL');
    await client.execute('PRAGMA foreign_keys = ON');
    const db = drizzle(client, { schema });
    if (await pragma('user_version') < knownMigrations()) {
      await migrate(db, { migrationsFolder: MIGRATIONS() });
      await client.execute(`PRAGMA application_id = ${APPLICATION_ID}`);
      await client.execute(`PRAGMA user_version = ${knownMigrations()}`);
      await client.execute('PRAGMA foreign_keys = ON');
    }
    return db;
  } catch (error) {
    client.close();
    throw error;
  }
}
