import { Inject, Injectable } from '@nestjs/common';
import { eq, inArray } from 'drizzle-orm';
import { DB } from '../db/db.module.js';
import type { Row } from '../db/journal.js';
import type { Db } from '../db/dataFile.js';
import { batchesUsing, canesUsing, patternsUsing } from '../db/plansUsing.js';
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

  /**
   * The canes that take in one of the revisions, the patterned sheets with slices and the batches with a part of one,
   * as they are told to a person.
   */
  async usedBy(revisionIds: readonly string[]): Promise<string[]> {
    const inCanes = await canesUsing(this.db, 'innerId', revisionIds);
    const inBatches = await batchesUsing(this.db, 'caneRevisionId', revisionIds);
    const inPatterns = await patternsUsing(this.db, 'caneRevisionId', revisionIds);
    return [
      ...inCanes.map((c) => `the cane ${c}`),
      ...inPatterns.map((p) => `the patterned sheet ${p}`),
      ...inBatches.map((b) => `the batch ${b}`),
    ];
  }

  made(): Promise<Row<'entryCane'>[]> {
    return this.db.select().from(entryCanes);
  }

  ofEntry(entryId: string): Promise<Row<'entryCane'>[]> {
    return this.db.select().from(entryCanes).where(eq(entryCanes.entryId, entryId));
  }
}
