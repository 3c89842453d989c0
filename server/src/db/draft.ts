import { eq } from 'drizzle-orm';
import type { Db } from './dataFile.js';
import type { AnyRow } from './difference.js';
import { TABLES, type TableName } from './schema.js';
import { writeOf, type Row, type Write } from './writes.js';

export type { Row } from './writes.js';

/** A row that somebody holds in memory; null: they hold its table, and it is not there; undefined: look in the file. */
export type HeldRow = (table: TableName, id: string) => AnyRow | null | undefined;

/** The rows that one change writes. Nothing reaches the file before the whole change is ready. */
export class Draft {
  /** What undo will call this change, as in “took 14 g of Carrot”. */
  summary = '';
  readonly writes: Write[] = [];
  constructor(
    readonly db: Db,
    readonly version: number,
    private readonly held: HeldRow,
  ) {}

  async find<T extends TableName>(table: T, id: string): Promise<Row<T> | undefined> {
    const held = this.held(table, id);
    if (held !== undefined) return (held ?? undefined) as Row<T> | undefined;
    const from = TABLES[table];
    const [row] = await this.db.select().from(from).where(eq(from.id, id));
    return row as Row<T> | undefined;
  }

  /** Writes a row, new or not. */
  async put<T extends TableName>(table: T, row: Row<T>): Promise<void> {
    this.record(table, (await this.find(table, row.id)) ?? null, row);
  }

  /** Writes `wanted` and takes away those of `before` that are not in it. */
  replace<T extends TableName>(table: T, before: readonly Row<T>[], wanted: readonly Row<T>[]): void {
    const old = new Map(before.map((row) => [row.id, row]));
    for (const row of wanted) {
      this.record(table, old.get(row.id) ?? null, row);
      old.delete(row.id);
    }
    for (const row of old.values()) this.record(table, row, null);
  }

  remove<T extends TableName>(table: T, rows: readonly Row<T>[]): void {
    this.replace(table, rows, []);
  }

  private record<T extends TableName>(table: T, before: Row<T> | null, after: Row<T> | null): void {
    if (JSON.stringify(before) !== JSON.stringify(after)) this.writes.push(writeOf(table, before, after));
  }
}
