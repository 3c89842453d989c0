import { createClient, type Client, type InStatement } from '@libsql/client';
import { drizzle } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openPromise, type Entry, type ZipFile } from 'yauzl';
import { APPLICATION_ID, MIGRATIONS } from '../../db/header.js';
import { UnusableDatabase } from '../../db/unusable.js';
import { MANIFEST, readManifest, type Manifest } from './manifest.js';
import { shapesOf, type Column, type FileRow, type TableShape } from './shapes.js';
import { linesOf, textOf } from './zipText.js';
import { isCard } from './card.js';
import { CARD, pictureFile, type Say } from './writeZip.js';

/** Files in an archive, and bytes of all of them unpacked: far beyond what a maker has. */
const [MOST_FILES, MOST_BYTES] = [200_000, 8_000_000_000];
/** Bytes of a manifest, and of a picture. */
const [MOST_MANIFEST, MOST_PICTURE] = [2_000_000, 4_000_000];
/** Rows that are written at once, and rows after which it is told how far it is. */
const [AT_ONCE, TOLD] = [200, 500];
const PICTURE = 'picture';

const damaged = (why: string): UnusableDatabase => new UnusableDatabase(`This archive is damaged: ${why}`);

/** The files of an archive by their names. */
async function filesIn(zip: ZipFile): Promise<ReadonlyMap<string, Entry>> {
  const files = new Map<string, Entry>();
  let bytes = 0;
  for await (const entry of zip.eachEntry()) {
    bytes += entry.uncompressedSize;
    if (files.size >= MOST_FILES || bytes > MOST_BYTES)
      throw new UnusableDatabase('This is larger than any archive of Sledge. It was not opened.');
    if (entry.isEncrypted()) throw new UnusableDatabase('This archive is locked with a password. It cannot be opened.');
    files.set(entry.fileName, entry);
  }
  return files;
}

/** An empty database as the version of the archive had it. */
async function emptyDatabase(file: string, tables: number): Promise<Client> {
  const client = createClient({ url: `file:${file}`, concurrency: 1 });
  const folder = mkdtempSync(join(tmpdir(), 'sledge-tables-'));
  try {
    cpSync(MIGRATIONS(), folder, { recursive: true });
    const list = join(folder, 'meta', '_journal.json');
    const journal = JSON.parse(readFileSync(list, 'utf8')) as { entries: unknown[] };
    writeFileSync(list, JSON.stringify({ ...journal, entries: journal.entries.slice(0, tables) }));
    // it is thrown away where it does not come to its end
    for (const pragma of ['synchronous = OFF', `application_id = ${APPLICATION_ID}`])
      await client.execute(`PRAGMA ${pragma}`);
    await migrate(drizzle(client), { migrationsFolder: folder });
    await client.execute(`PRAGMA user_version = ${tables}`);
    await client.execute('PRAGMA foreign_keys = OFF');
    return client;
  } catch (error) {
    client.close();
    throw error;
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

const FITS: Readonly<Record<Column['type'], (value: unknown) => boolean>> = {
  text: (value) => typeof value === 'string' || (typeof value === 'object' && value !== null),
  integer: (value) => Number.isSafeInteger(value),
  real: (value) => typeof value === 'number' && Number.isFinite(value),
};

/** A line as a row of its table. @throws UnusableDatabase without the place */
function readRow(line: string, { name, columns }: TableShape): FileRow {
  let value: unknown;
  try {
    value = JSON.parse(line);
  } catch {
    throw new UnusableDatabase('it is no JSON.');
  }
  if (typeof value !== 'object' || value === null || Array.isArray(value)) throw new UnusableDatabase('it is no row.');
  const row = value as Record<string, unknown>;
  const strange = Object.keys(row).find((key) => !columns.some((c) => c.name === key));
  if (strange !== undefined) throw new UnusableDatabase(`${name} has no column “${strange.slice(0, 40)}”.`);
  return Object.fromEntries(columns.flatMap((column) => cellOf(column, row[column.name])));
}

function cellOf(
  { name, type, needed }: Column,
  value: unknown,
): readonly (readonly [string, string | number | null])[] {
  if (value === undefined && !needed) return [];
  if (value === null && !needed) return [[name, null]];
  if (!FITS[type](value))
    throw new UnusableDatabase(`“${name}” cannot be ${JSON.stringify(value)?.slice(0, 40) ?? 'missing'}.`);
  return [[name, typeof value === 'object' ? JSON.stringify(value) : (value as string | number)]];
}

/** Reads an archive into an empty database, file after file. */
class Reading {
  private done = 0;
  private total = 0;
  private waiting: { readonly place: string; readonly statement: InStatement }[] = [];

  constructor(
    private readonly zip: ZipFile,
    private readonly files: ReadonlyMap<string, Entry>,
    private readonly client: Client,
    private readonly say: Say,
  ) {}

  private told(): void {
    this.done += 1;
    if (this.done % TOLD === 0 || this.done === this.total) this.say(this.done, this.total);
  }

  private async flush(): Promise<void> {
    const rows = this.waiting;
    this.waiting = [];
    try {
      await this.client.batch(
        rows.map((row) => row.statement),
        'write',
      );
    } catch {
      await this.oneByOne(rows);
    }
  }

  /** Finds the row that cannot be. @throws UnusableDatabase with its place */
  private async oneByOne(rows: typeof this.waiting): Promise<void> {
    for (const { place, statement } of rows) {
      try {
        await this.client.execute(statement);
      } catch (error) {
        throw damaged(`${place} does not keep to the rules of its table (${String((error as Error).message)}).`);
      }
    }
  }

  private async put(place: string, table: string, row: FileRow): Promise<void> {
    const names = Object.keys(row);
    const sql = `INSERT INTO "${table}" (${names.map((n) => `"${n}"`).join()}) VALUES (${names.map(() => '?').join()})`;
    this.waiting.push({ place, statement: { sql, args: Object.values(row) } });
    if (this.waiting.length >= AT_ONCE || table === PICTURE) await this.flush();
    this.told();
  }

  private async pictureOf(line: string): Promise<string> {
    const { id, type } = JSON.parse(line) as { id: unknown; type: unknown };
    const entry = this.files.get(pictureFile({ id, type }));
    if (!entry) throw new UnusableDatabase('its picture is not in the archive.');
    if (entry.uncompressedSize > MOST_PICTURE) throw new UnusableDatabase('its picture is too large.');
    const bytes = await textOf(this.zip, entry, MOST_PICTURE);
    this.told();
    const { file: _, ...row } = JSON.parse(line) as Record<string, unknown>;
    return JSON.stringify({ ...row, data: bytes.toString('base64') });
  }

  private async table(shape: TableShape, expected: number): Promise<void> {
    const name = `data/${shape.name}.jsonl`;
    const entry = this.files.get(name);
    if (!entry) {
      if (expected > 0) throw damaged(`${name} is missing.`);
      return;
    }
    let number = 0;
    for await (const line of linesOf(this.zip, entry)) {
      number += 1;
      const place = `${name}, line ${number}`;
      try {
        const whole = shape.name === PICTURE ? await this.pictureOf(line) : line;
        await this.put(place, shape.name, readRow(whole, shape));
      } catch (error) {
        if (!(error instanceof UnusableDatabase) || error.message.startsWith('This archive')) throw error;
        throw damaged(`${place}: ${error.message}`);
      }
    }
    await this.flush();
    if (number !== expected) throw damaged(`${name} has ${number} rows, and ${expected} were written.`);
  }

  /** Rows that name others which are not there. */
  private async checkNames(): Promise<void> {
    const [row] = (await this.client.execute('PRAGMA foreign_key_check')).rows;
    if (row) throw damaged(`a row of ${String(row.table)} names one of ${String(row.parent)} that is not in it.`);
  }

  async all({ rows, pictures, change }: Manifest): Promise<void> {
    const shapes = await shapesOf(this.client);
    const strange = Object.keys(rows).find((name) => !shapes.some((shape) => shape.name === name));
    if (strange !== undefined) throw damaged(`there is no table ${strange.slice(0, 40)}.`);
    this.total = Object.values(rows).reduce((sum, n) => sum + n, 0) + pictures;
    for (const shape of shapes) await this.table(shape, rows[shape.name] ?? 0);
    await this.checkNames();
    await this.client.execute({ sql: "INSERT INTO counter (id, value) VALUES ('version', ?)", args: [change] });
  }
}

async function opened(path: string): Promise<ZipFile> {
  try {
    return await openPromise(path, { lazyEntries: true, autoClose: false });
  } catch {
    throw new UnusableDatabase('This is no ZIP file, or only a part of one.');
  }
}

/** What was read of an archive, beside its rows. */
export interface ReadArchive {
  readonly manifest: Manifest;
  /** bytes of the picture card of the one thing in it */
  readonly card: Uint8Array | null;
}

/** @throws UnusableDatabase */
async function cardIn(zip: ZipFile, files: ReadonlyMap<string, Entry>): Promise<Uint8Array | null> {
  const entry = files.get(CARD);
  if (!entry) return null;
  const bytes = entry.uncompressedSize > MOST_PICTURE ? null : await textOf(zip, entry, MOST_PICTURE);
  if (bytes === null || !isCard(bytes)) throw damaged('its picture card is no picture of the usual size.');
  return bytes;
}

async function readInto(zip: ZipFile, file: string, say: Say): Promise<ReadArchive> {
  const files = await filesIn(zip);
  const entry = files.get(MANIFEST);
  if (!entry) throw new UnusableDatabase('This is no archive of Sledge: it has no manifest.');
  const manifest = readManifest((await textOf(zip, entry, MOST_MANIFEST)).toString('utf8'));
  const card = manifest.thing && (await cardIn(zip, files));
  const client = await emptyDatabase(file, manifest.tables);
  try {
    await new Reading(zip, files, client, say).all(manifest);
  } finally {
    client.close();
  }
  return { manifest, card };
}

/**
 * Reads an archive into a database of its own, of the version that the archive is of.
 * @param path of the ZIP @param file of the database that is made
 * @throws UnusableDatabase with the sentence; the database is then of no use
 */
export async function readArchive(path: string, file: string, say: Say): Promise<ReadArchive> {
  const zip = await opened(path);
  try {
    return await readInto(zip, file, say);
  } catch (error) {
    if (error instanceof UnusableDatabase) throw error;
    // a part of it that cannot be unpacked, or names that lead elsewhere
    const { message } = error as Error;
    if (/invalid|corrupt|unexpected|end of|relative path|absolute path|crc|too many|not enough/i.test(message))
      throw damaged('a part of it cannot be unpacked.');
    throw error;
  } finally {
    zip.close();
  }
}
