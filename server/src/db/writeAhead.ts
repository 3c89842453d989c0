import { constants, copyFileSync, existsSync, mkdtempSync, renameSync, rmSync, statSync } from 'node:fs';
import { basename, dirname, join } from 'node:path';
import { createClient } from '@libsql/client';
import { readStamps, type Stamps } from './stamps.js';
import { codesOf } from './unusable.js';

interface Looked {
  readonly stamps: Stamps;
  readonly sound: boolean;
}
const NOTHING: Stamps = { stamp: null, base: null };

/** Opens copies of some files, so that nothing of the person's own is changed by looking. */
async function look(file: string, endings: readonly string[], thoroughly: boolean): Promise<Looked> {
  const folder = mkdtempSync(join(dirname(file), '.look-'));
  const copy = join(folder, 'copy.db');
  try {
    for (const ending of endings) copyFileSync(`${file}${ending}`, `${copy}${ending}`, constants.COPYFILE_FICLONE);
    const client = createClient({ url: `file:${copy}`, concurrency: 1 });
    try {
      const stamps = await readStamps(client);
      if (!thoroughly) return { stamps, sound: true };
      const [row] = (await client.execute('PRAGMA integrity_check(1)')).rows;
      return { stamps, sound: Object.values(row ?? {})[0] === 'ok' };
    } finally {
      client.close();
    }
  } catch (error) {
    if (codesOf(error).some((code) => code.startsWith('SQLITE_'))) return { stamps: NOTHING, sound: false };
    throw error;
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/** Whether the write-ahead file beside a database was begun on the state that the database has. */
async function belongs(file: string): Promise<boolean> {
  const together = ['', '-wal'];
  const {
    stamps: { stamp, base },
  } = await look(file, together, false);
  const makesSense = async (): Promise<boolean> => (await look(file, together, true)).sound;
  // written before there were stamps: what can be told is whether the two make sense together
  if (base === null) return makesSense();
  const alone = await look(file, [''], true);
  if (alone.stamps.stamp === base) return true;
  // the end came while it was being worked in: the database has the new stamp already, or is half written
  const halfWay = alone.stamps.stamp === stamp || !alone.sound;
  return halfWay && makesSense();
}

const stampOf = (when: Date): string => when.toISOString().slice(0, 19).replace('T', ' ').replaceAll(':', '');

/**
 * Looks after a write-ahead file that an unorderly end has left. One that
 * belongs to another state of the data (an older copy was put in place of
 * the database) is moved aside, as it would destroy it.
 * @returns the sentence about it, where one was moved
 */
export async function setAsideForeign(file: string, when = new Date()): Promise<string | null> {
  const ahead = `${file}-wal`;
  if (!existsSync(ahead) || statSync(ahead).size === 0) return null;
  if (existsSync(file) && (await belongs(file))) return null;
  const aside = `${file}-wal.aside ${stampOf(when)}`;
  renameSync(ahead, aside);
  rmSync(`${file}-shm`, { force: true });
  return existsSync(file)
    ? `Beside ${file} lay changes that belong to another state of it, perhaps because a copy was put in ` +
        `its place. The file is opened as it is; those changes were kept in ${basename(aside)}.`
    : `Beside ${file}, which is not there, lay changes of it. They were kept in ${basename(aside)}.`;
}
