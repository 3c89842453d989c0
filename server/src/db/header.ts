import { closeSync, openSync, readFileSync, readSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { projectRoot } from './root.js';
import { UnusableDatabase } from './unusable.js';

const MAGIC = 'SQLite format 3\0';
/** Stands in the header of every file of ours, so that another program's database is not mistaken for one. */
export const APPLICATION_ID = 0x534c4447;
export const MIGRATIONS = (): string => join(projectRoot(), 'server', 'migrations');

interface MigrationList {
  readonly entries: readonly { readonly when: number }[];
}

/** When each migration that this version knows was made. Their number is written into the file as its user version. */
export function knownMigrations(): readonly number[] {
  const list = JSON.parse(readFileSync(join(MIGRATIONS(), 'meta', '_journal.json'), 'utf8')) as MigrationList;
  return list.entries.map((entry) => entry.when);
}

/** What the first 100 bytes of a database say; `pages` and `freePages` of `pageSize` bytes. */
export interface Header {
  readonly version: number;
  readonly application: number;
}

/**
 * Looks at the header with plain file reads, so that a refused file stays as
 * it is to the byte.
 * @returns null for an empty file
 * @throws UnusableDatabase for a folder, for what is no database, for one of another program or of a newer Sledge
 */
export function readHeader(file: string): Header | null {
  if (statSync(file).isDirectory()) {
    throw new UnusableDatabase(
      `${file} is a folder; a file is wanted there. Move it away, or set SLEDGE_DATA to another folder.`,
    );
  }
  const bytes = Buffer.alloc(100);
  const handle = openSync(file, 'r');
  const length = readSync(handle, bytes, 0, 100, 0);
  closeSync(handle);
  if (length === 0) return null;
  if (length < 100 || bytes.toString('latin1', 0, 16) !== MAGIC) {
    throw new UnusableDatabase(
      `${file} is not a database of Sledge. It was not touched. Move it away, or set SLEDGE_DATA to another folder.`,
    );
  }
  const header = { version: bytes.readUInt32BE(60), application: bytes.readUInt32BE(68) };
  refuseVersion(file, header);
  return header;
}

/** @throws UnusableDatabase for a database of another program or of a newer Sledge */
export function refuseVersion(file: string, { version, application }: Header): void {
  if (application !== 0 && application !== APPLICATION_ID) {
    throw new UnusableDatabase(
      `${file} belongs to another program. It was not touched. Set SLEDGE_DATA to another folder.`,
    );
  }
  const known = knownMigrations().length;
  if (version > known) {
    throw new UnusableDatabase(
      `${file} was written by a newer Sledge (${version}, this one knows ${known}). It was not touched. ` +
        'Start the newer Sledge, or set SLEDGE_DATA to another folder.',
    );
  }
}
