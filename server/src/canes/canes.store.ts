import { Inject, Injectable } from '@nestjs/common';
import { eq, inArray } from 'drizzle-orm';
import { DB } from '../db/db.module.js';
import type { Row } from '../db/journal.js';
import type { Db } from '../db/dataFile.js';
import { canesUsing } from '../db/plansUsing.js';
import { caneUses, entryCanes } from '../db/schema.js';

@Injectable()
export class CanesStore {
  constructor(@Inject(DB) private readonly db: Db) {}

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

  made(): Promise<Row<'entryCane'>[]> {
    return this.db.select().from(entryCanes);
  }

  ofEntry(entryId: string): Promise<Row<'entryCane'>[]> {
    return this.db.select().from(entryCanes).where(eq(entryCanes.entryId, entryId));
  }
}
