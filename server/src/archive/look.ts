import { rmSync } from 'node:fs';
import { createClient, type Client } from '@libsql/client';
import type { CopyContents } from '#contract';
import { APPLICATION_ID, readHeader } from '../db/header.js';
import { UnusableDatabase } from '../db/unusable.js';

/** What is wrong with a copy, as a sentence for whoever chose it. */
const DAMAGED = 'This copy is damaged: its pages do not fit together. Take another one.';
const FOREIGN = 'This is a database, but not one of Sledge.';

async function countOf(client: Client, table: string): Promise<number> {
  const { rows } = await client.execute(`SELECT count(*) AS n FROM ${table}`);
  return Number(rows[0]?.n ?? 0);
}

async function contents(client: Client): Promise<CopyContents> {
  const { rows } = await client.execute('SELECT max(made_on) AS last FROM entry');
  const last = rows[0]?.last;
  return {
    clays: await countOf(client, 'clay'),
    mixes: await countOf(client, 'mix'),
    batches: await countOf(client, 'batch'),
    entries: await countOf(client, 'entry'),
    lastEntry: typeof last === 'string' ? last : null,
  };
}

async function checked(client: Client): Promise<CopyContents> {
  const value = async (pragma: string): Promise<unknown> =>
    Object.values((await client.execute(`PRAGMA ${pragma}`)).rows[0] ?? {})[0];
  if (Number(await value('application_id')) !== APPLICATION_ID) throw new UnusableDatabase(FOREIGN);
  if ((await value('integrity_check(1)')) !== 'ok') throw new UnusableDatabase(DAMAGED);
  if ((await client.execute('PRAGMA foreign_key_check')).rows.length > 0) throw new UnusableDatabase(DAMAGED);
  return contents(client);
}

/**
 * Looks through a whole database: that it is one of ours, not newer than this
 * Sledge, undamaged, and what it holds.
 * @throws UnusableDatabase with the sentence
 */
export async function lookInto(file: string): Promise<CopyContents> {
  if (readHeader(file) === null) throw new UnusableDatabase('This file is empty.');
  const client = createClient({ url: `file:${file}`, concurrency: 1 });
  try {
    return await checked(client);
  } catch (error) {
    if (error instanceof UnusableDatabase) throw error;
    throw new UnusableDatabase(DAMAGED);
  } finally {
    client.close();
    for (const ending of ['-wal', '-shm']) rmSync(`${file}${ending}`, { force: true });
  }
}
