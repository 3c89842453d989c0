import { OtherRow, type RowWrite } from './difference.js';
import { TABLES, type TableName } from './schema.js';

/** A row of a table, by the names of its columns. */
export type Row<T extends TableName> = (typeof TABLES)[T]['$inferSelect'];

/** A row before and after a change, of whichever table; null: it was not there. */
export type Write = {
  readonly [T in TableName]: { readonly table: T; readonly before: Row<T> | null; readonly after: Row<T> | null };
}[TableName];

const isTable = (name: string): name is TableName => Object.hasOwn(TABLES, name);

/** A write of one table: its rows are of that table, which is all that the union asks. */
export const writeOf = <T extends TableName>(table: T, before: Row<T> | null, after: Row<T> | null): Write =>
  ({ table, before, after }) as Write;

/** A write as the list of changes keeps it. @throws OtherRow where it names no table */
export function readWrite({ table, before, after }: RowWrite): Write {
  if (!isTable(table)) throw new OtherRow(`There is no table ${table} any more.`);
  return { table, before, after } as Write;
}

/** The table that a kept write names. @throws OtherRow */
export function tableNamed(name: string): TableName {
  if (!isTable(name)) throw new OtherRow(`There is no table ${name} any more.`);
  return name;
}
