import { Inject, Injectable } from '@nestjs/common';
import { asc, desc, eq } from 'drizzle-orm';
import { DB } from '../db/db.module.js';
import type { Row } from '../db/journal.js';
import type { Db } from '../db/dataFile.js';
import { entries, entryConditionings, sheets } from '../db/schema.js';

@Injectable()
export class SheetBookStore {
  constructor(@Inject(DB) private readonly db: Db) {}

  /** Those that are not used up first, newest first, with the day they were made. */
  async all(): Promise<(Row<'sheet'> & { readonly madeOn: string })[]> {
    const rows = await this.db
      .select()
      .from(sheets)
      .innerJoin(entries, eq(entries.id, sheets.entryId))
      .orderBy(asc(sheets.gone), desc(entries.madeOn), desc(sheets.version));
    return rows.map((r) => ({ ...r.sheet, madeOn: r.entry.madeOn }));
  }

  /** By its id. */
  async one(id: string): Promise<(Row<'sheet'> & { readonly madeOn: string }) | undefined> {
    const [row] = await this.db
      .select()
      .from(sheets)
      .innerJoin(entries, eq(entries.id, sheets.entryId))
      .where(eq(sheets.id, id));
    return row && { ...row.sheet, madeOn: row.entry.madeOn };
  }

  ofEntry(entryId: string): Promise<Row<'sheet'>[]> {
    return this.db.select().from(sheets).where(eq(sheets.entryId, entryId));
  }

  conditionedIn(entryId: string): Promise<Row<'entryConditioning'>[]> {
    return this.db.select().from(entryConditionings).where(eq(entryConditionings.entryId, entryId));
  }
}
