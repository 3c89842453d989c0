/** One image of a row before and after a change; null: it was not there. */
export interface RowWrite {
  readonly table: string;
  readonly before: Readonly<Record<string, unknown>> | null;
  readonly after: Readonly<Record<string, unknown>> | null;
}

/** A row with its values, by the names of its columns. */
export type AnyRow = Readonly<Record<string, unknown>> & { readonly id: string };

/** Where a long value differs: at a letter of its JSON, what stood there and what stands there now. */
interface Splice {
  readonly at: number;
  readonly was: string;
  readonly now: string;
}
/** What a column held and holds; or, for a long value, only the part that differs. */
type Cell = { readonly was: unknown; readonly now: unknown } | { readonly splice: Splice };

/** A row that was changed: only the columns that differ. */
export interface RowDifference {
  readonly table: string;
  readonly id: string;
  readonly cells: Readonly<Record<string, Cell>>;
}
/** As the list of changes keeps it: whole rows where one came or went, differences where one was changed. */
export type KeptWrite = RowWrite | RowDifference;

export const isDifference = (write: KeptWrite): write is RowDifference => 'cells' in write;

/** Letters from which on it pays to look for the part that differs. */
const LONG = 200;

function spliceOf(was: string, now: string): Splice {
  const most = Math.min(was.length, now.length);
  let at = 0;
  while (at < most && was[at] === now[at]) at++;
  let same = 0;
  while (same < most - at && was[was.length - 1 - same] === now[now.length - 1 - same]) same++;
  return { at, was: was.slice(at, was.length - same), now: now.slice(at, now.length - same) };
}

function cellOf(was: unknown, now: unknown): Cell | null {
  const [before, after] = [JSON.stringify(was ?? null), JSON.stringify(now ?? null)];
  if (before === after) return null;
  if (Math.min(before.length, after.length) < LONG) return { was: was ?? null, now: now ?? null };
  return { splice: spliceOf(before, after) };
}

/** The write as it is kept. */
export function keptOf(write: RowWrite): KeptWrite {
  const { table, before, after } = write;
  if (before === null || after === null) return write;
  const cells: Record<string, Cell> = {};
  for (const column of new Set([...Object.keys(before), ...Object.keys(after)])) {
    const cell = cellOf(before[column], after[column]);
    if (cell !== null) cells[column] = cell;
  }
  return { table, id: (after as AnyRow).id, cells };
}

/** A row is not as the change left it, so the change cannot be turned round. */
export class OtherRow extends Error {}

function turned(cell: Cell, value: unknown, back: boolean): unknown {
  if (!('splice' in cell)) return back ? cell.was : cell.now;
  const { at, was, now } = cell.splice;
  const [expected, wanted] = back ? [now, was] : [was, now];
  const text = JSON.stringify(value ?? null);
  if (text.slice(at, at + expected.length) !== expected) throw new OtherRow('A row is not as the change left it.');
  return JSON.parse(text.slice(0, at) + wanted + text.slice(at + expected.length)) as unknown;
}

/**
 * The write that takes a kept one back, or does it again.
 * @param row the row as it stands now; used for differences only
 * @throws OtherRow
 */
export function turnedWrite(kept: KeptWrite, row: AnyRow | undefined, back: boolean): RowWrite {
  if (!isDifference(kept)) return back ? { table: kept.table, before: kept.after, after: kept.before } : kept;
  if (!row) throw new OtherRow('A row is not there any more.');
  const cells = Object.entries(kept.cells).map(([column, cell]) => [column, turned(cell, row[column], back)] as const);
  return { table: kept.table, before: row, after: { ...row, ...Object.fromEntries(cells) } };
}
