import { Inject, Injectable } from '@nestjs/common';
import { asc, desc, eq, inArray } from 'drizzle-orm';
import { DB } from '../db/db.module.js';
import type { Row } from '../db/journal.js';
import type { Db } from '../db/dataFile.js';
import { canesUsing } from '../db/canesUsing.js';
import { caneRevisions, caneUses, canes, entryCanes } from '../db/schema.js';

@Injectable()
export class CanesStore {
  constructor(@Inject(DB) private readonly db: Db) {}

  /** Newest first. */
  all(): Promise<Row<'cane'>[]> {
    return this.db.select().from(canes).orderBy(desc(canes.version));
  }

  /** By its id. */
  async one(id: string): Promise<Row<'cane'> | undefined> {
    const [row] = await this.db.select().from(canes).where(eq(canes.id, id));
    return row;
  }

  /** Oldest first. */
  revisionsOf(caneId: string): Promise<Row<'caneRevision'>[]> {
    return this.db
      .select()
      .from(caneRevisions)
      .where(eq(caneRevisions.caneId, caneId))
      .orderBy(asc(caneRevisions.number));
  }

  async revision(id: string): Promise<Row<'caneRevision'> | undefined> {
    const [row] = await this.db.select().from(caneRevisions).where(eq(caneRevisions.id, id));
    return row;
  }

  usesOf(revisionIds: readonly string[]): Promise<Row<'caneUse'>[]> {
    return this.db
      .select()
      .from(caneUses)
      .where(inArray(caneUses.caneRevisionId, [...revisionIds]));
  }

  /** Names of the canes that take in one of the revisions. */
  usedBy(revisionIds: readonly string[]): Promise<string[]> {
    return canesUsing(this.db, 'innerId', revisionIds);
  }

  /** Revisions of which something was made. */
  async madeOf(revisionIds: readonly string[]): Promise<Set<string>> {
    const rows = await this.db
      .selectDistinct({ id: entryCanes.caneRevisionId })
      .from(entryCanes)
      .where(inArray(entryCanes.caneRevisionId, [...revisionIds]));
    return new Set(rows.map((r) => r.id));
  }

  made(): Promise<Row<'entryCane'>[]> {
    return this.db.select().from(entryCanes);
  }

  ofEntry(entryId: string): Promise<Row<'entryCane'>[]> {
    return this.db.select().from(entryCanes).where(eq(entryCanes.entryId, entryId));
  }
}
