import { eq } from 'drizzle-orm';
import { getTableConfig, type SQLiteTable } from 'drizzle-orm/sqlite-core';
import type { Db } from '../db/dataFile.js';
import { TABLES, pictures, type TableName } from '../db/schema.js';
import { namedIn, type Named } from './inDocuments.js';

/** A row as it stands in the file, by the names of its columns in the program. */
export type PlainRow = Readonly<Record<string, unknown>> & { readonly id: string };
/** Rows of tables, those that others rest on before those that rest on them. */
export type Bundle = readonly { readonly table: TableName; readonly row: PlainRow }[];

/** Rows that belong to another one and go wherever it goes. */
const OWNED: Readonly<Partial<Record<TableName, readonly TableName[]>>> = {
  mix: ['revision'],
  revision: ['ingredient', 'chip'],
  blend: ['blendRevision'],
  blendRevision: ['blendColour'],
  cane: ['caneRevision'],
  caneRevision: ['caneUse'],
  pattern: ['patternRevision'],
  patternRevision: ['patternUse'],
  batch: ['piece', 'assembly'],
  piece: ['layer'],
  assembly: ['assemblyUse'],
  machine: ['setting'],
  setting: ['reading'],
  palette: ['swatch'],
};

/** What does not travel: it lies on one table, or tells of what was done there. */
const STAYS: ReadonlySet<TableName> = new Set(['sheet', 'tub', 'entry', 'block'] as const);

/** A column that names a row of another table. */
interface Reference {
  readonly column: string;
  readonly table: TableName;
}

const nameOf = new Map<SQLiteTable, TableName>(
  Object.entries(TABLES).map(([name, table]) => [table as SQLiteTable, name as TableName]),
);

/** The columns of a table that name rows of others, by the names of the program. */
function referencesOf(name: TableName): readonly Reference[] {
  const table = TABLES[name] as SQLiteTable;
  return getTableConfig(table).foreignKeys.flatMap((key): Reference[] => {
    const { columns, foreignTable } = key.reference();
    const own = Object.entries(table).find(([, column]) => column === columns[0])?.[0];
    const to = nameOf.get(foreignTable as SQLiteTable);
    return own !== undefined && to !== undefined ? [{ column: own, table: to }] : [];
  });
}

const REFERENCES = new Map<TableName, readonly Reference[]>(
  Object.keys(TABLES).map((name) => [name as TableName, referencesOf(name as TableName)]),
);
export const referencesIn = (table: TableName): readonly Reference[] => REFERENCES.get(table) ?? [];

/** All rows that a row rests on: those that its columns name, and those that its document does. */
export function namedBy(table: TableName, row: PlainRow): readonly Named[] {
  const byColumns = referencesIn(table).flatMap(({ column, table: to }): Named[] => {
    const id = row[column];
    return typeof id === 'string' ? [{ table: to, id }] : [];
  });
  return [...byColumns, ...namedIn(table, row)];
}

/** The column that says whose a row is: the first that names that table; others name what it rests on. */
export const ownerColumn = (child: TableName, parent: TableName): string | undefined =>
  referencesIn(child).find((r) => r.table === parent)?.column;

/** It rests on something that lies on the other table, and cannot travel. */
export class RestsOnMade extends Error {}

async function rowOf(db: Db, table: TableName, id: string): Promise<PlainRow | undefined> {
  const from = TABLES[table];
  const [row] = await db.select().from(from).where(eq(from.id, id));
  return row as PlainRow | undefined;
}

async function ownedBy(db: Db, child: TableName, parent: TableName, id: string): Promise<readonly PlainRow[]> {
  const column = ownerColumn(child, parent);
  if (column === undefined) return [];
  const from = TABLES[child];
  const columns = from as unknown as Record<string, (typeof from)['id']>;
  return (await db
    .select()
    .from(from)
    .where(eq(columns[column] as (typeof from)['id'], id))) as readonly PlainRow[];
}

/**
 * A thing with everything that it rests on and all that belongs to it: a mix with the mixes in it, a batch with its
 * canes, blends, clays and settings.
 * @throws RestsOnMade where it is made of something that lies there
 */
export async function gather(db: Db, table: TableName, id: string): Promise<Bundle> {
  const found = new Map<string, { readonly table: TableName; readonly row: PlainRow }>();
  const visit = async (name: TableName, rowId: string): Promise<void> => {
    const key = `${name} ${rowId}`;
    if (found.has(key)) return;
    if (STAYS.has(name)) throw new RestsOnMade(name);
    const row = await rowOf(db, name, rowId);
    if (!row) return;
    // a place is kept first: what rests on itself in a circle is met once
    found.set(key, { table: name, row });
    for (const other of namedBy(name, row)) await visit(other.table, other.id);
    // what it rests on stands before it
    found.delete(key);
    found.set(key, { table: name, row });
    for (const child of OWNED[name] ?? [])
      for (const own of await ownedBy(db, child, name, rowId)) await visit(child, own.id);
  };
  await visit(table, id);
  return inOrder([...found.values()]);
}

/** Rows that others name before those that name them. */
function inOrder(rows: Bundle): Bundle {
  const byKey = new Map(rows.map((one) => [`${one.table} ${one.row.id}`, one]));
  const done = new Set<string>();
  const ordered: { readonly table: TableName; readonly row: PlainRow }[] = [];
  const put = (key: string): void => {
    const one = byKey.get(key);
    if (!one || done.has(key)) return;
    done.add(key);
    for (const other of namedBy(one.table, one.row)) put(`${other.table} ${other.id}`);
    ordered.push(one);
  };
  for (const key of byKey.keys()) put(key);
  return ordered;
}

/**
 * Everything there is. Of photographs only what they are: their bytes are brought one by one.
 */
export async function gatherAll(db: Db): Promise<Bundle> {
  const all: { readonly table: TableName; readonly row: PlainRow }[] = [];
  for (const table of Object.keys(TABLES) as TableName[])
    for (const row of await rowsOf(db, table)) all.push({ table, row });
  return inOrder(all);
}

const PICTURE_WITHOUT_BYTES = { id: pictures.id, type: pictures.type, width: pictures.width, height: pictures.height };

/** All rows of a table; of photographs without their bytes. */
export async function rowsOf(db: Db, table: TableName): Promise<readonly PlainRow[]> {
  const rows = table === 'picture' ? db.select(PICTURE_WITHOUT_BYTES).from(pictures) : db.select().from(TABLES[table]);
  return (await rows) as readonly PlainRow[];
}

/** A row that another one belongs to. */
function ownerOf(table: TableName, row: PlainRow): string | null {
  for (const [to, children] of Object.entries(OWNED) as [TableName, readonly TableName[]][]) {
    const column = children.includes(table) ? ownerColumn(table, to) : undefined;
    const owner = column === undefined ? undefined : row[column];
    if (typeof owner === 'string') return `${to} ${owner}`;
  }
  return null;
}

/**
 * Which thing each row belongs to, by their keys; a thing belongs to itself.
 * @param things tables of things that are carried with all that belongs to them
 */
export function belongings(rows: Bundle, things: ReadonlySet<TableName>): ReadonlyMap<string, string> {
  const belongs = new Map<string, string>();
  // parents stand before what belongs to them
  for (const { table, row } of rows) {
    const key = `${table} ${row.id}`;
    const owner = ownerOf(table, row);
    const own = things.has(table) ? key : belongs.get(owner ?? '');
    if (own !== undefined) belongs.set(key, own);
  }
  return belongs;
}
