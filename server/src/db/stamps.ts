import { randomInt } from 'node:crypto';
import type { Client } from '@libsql/client';

/**
 * How a write-ahead file and its database know each other. The database
 * holds a `stamp` that is drawn anew before each time the write-ahead file is
 * worked into it; the first thing written into the write-ahead file after
 * that is `base`, the stamp of the database it rests on. A write-ahead file
 * whose base is another stamp belongs to another state of the data.
 */
export interface Stamps {
  readonly stamp: number | null;
  readonly base: number | null;
}

const MOST = 2 ** 47;
const draw = (): number => randomInt(1, MOST);

async function write(client: Client, id: keyof Stamps, value: number): Promise<void> {
  await client.execute({
    sql: 'INSERT INTO counter (id, value) VALUES (?, ?) ON CONFLICT (id) DO UPDATE SET value = excluded.value',
    args: [id, value],
  });
}

/** The stamps of a database that is open; both null where it was never stamped, or has no tables yet. */
export async function readStamps(client: Client): Promise<Stamps> {
  const tables = await client.execute("SELECT 1 FROM sqlite_master WHERE name = 'counter'");
  if (tables.rows.length === 0) return { stamp: null, base: null };
  const { rows } = await client.execute("SELECT id, value FROM counter WHERE id IN ('stamp', 'base')");
  const value = (id: string): number | null => {
    const found = rows.find((row) => row.id === id)?.value;
    return found === undefined ? null : Number(found);
  };
  return { stamp: value('stamp'), base: value('base') };
}

/**
 * Works the write-ahead file into the database, so that the one file is
 * whole, and begins a new one. Nothing else may write meanwhile.
 * @returns false where somebody reads the old state and it has to be done later
 */
export async function workIn(client: Client): Promise<boolean> {
  const stamp = draw();
  await write(client, 'stamp', stamp);
  const [row] = (await client.execute('PRAGMA wal_checkpoint(TRUNCATE)')).rows;
  const whole = Number(row?.busy ?? 1) === 0;
  if (whole) await write(client, 'base', stamp);
  return whole;
}

/** The same at an orderly end: nothing is written after it. */
export async function workInLast(client: Client): Promise<boolean> {
  await write(client, 'stamp', draw());
  const [row] = (await client.execute('PRAGMA wal_checkpoint(TRUNCATE)')).rows;
  return Number(row?.busy ?? 1) === 0;
}
