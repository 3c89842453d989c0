import { knownMigrations } from '../../db/header.js';
import { UnusableDatabase } from '../../db/unusable.js';

export const MANIFEST = 'manifest.json';
/** The way an archive is laid out; another one gets another number. */
export const FORMAT = 1;
const WHAT = 'Sledge archive';

/** The first file of an archive. */
export interface Manifest {
  readonly what: typeof WHAT;
  readonly format: typeof FORMAT;
  /** which version of the tables */
  readonly tables: number;
  /** number of the last change: the versions of rows are at most that */
  readonly change: number;
  /** ISO time */
  readonly made: string;
  /** rows by table */
  readonly rows: Readonly<Record<string, number>>;
  readonly pictures: number;
  /** the one thing that it is sent for; null: it is everything */
  readonly thing: { readonly table: string; readonly id: string; readonly name: string } | null;
}

export const manifestOf = (
  own: Pick<Manifest, 'change' | 'rows' | 'pictures' | 'thing'>,
  now = new Date(),
): Manifest => ({ what: WHAT, format: FORMAT, tables: knownMigrations().length, made: now.toISOString(), ...own });

const isCount = (value: unknown): value is number => Number.isSafeInteger(value) && (value as number) >= 0;

function isThing(value: unknown): value is Manifest['thing'] {
  if (value === null) return true;
  const { table, id, name } = (value ?? {}) as Record<string, unknown>;
  return [table, id, name].every((text) => typeof text === 'string');
}

/** @throws UnusableDatabase with the sentence */
export function readManifest(text: string): Manifest {
  let value: Partial<Record<keyof Manifest, unknown>> | null;
  try {
    value = JSON.parse(text) as typeof value;
  } catch {
    throw new UnusableDatabase('This is no archive of Sledge: its manifest cannot be read.');
  }
  if (value?.what !== WHAT)
    throw new UnusableDatabase('This is no archive of Sledge: its manifest says something else.');
  const known = knownMigrations().length;
  if (value.format !== FORMAT || (isCount(value.tables) && value.tables > known))
    throw new UnusableDatabase(
      'This archive was made by a newer Sledge. Bring this one up to date, then open it again.',
    );
  const { tables, change, made, rows, thing = null, pictures = 0 } = value;
  const counts = typeof rows === 'object' && rows !== null ? Object.values(rows) : [null];
  if (
    !isCount(tables) ||
    tables < 1 ||
    !isCount(change) ||
    !isCount(pictures) ||
    !counts.every(isCount) ||
    !isThing(thing)
  )
    throw new UnusableDatabase('This archive is damaged: its manifest is not whole.');
  return {
    ...{ what: WHAT, format: FORMAT, tables, change, pictures, thing },
    made: String(made),
    rows: rows as Manifest['rows'],
  };
}
