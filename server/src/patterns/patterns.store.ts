import { Inject, Injectable } from '@nestjs/common';
import { desc, eq, inArray } from 'drizzle-orm';
import type { Db } from '../db/dataFile.js';
import { DB } from '../db/db.module.js';
import type { Row } from '../db/journal.js';
import { batchesUsing } from '../db/plansUsing.js';
import { entries, entryPatterns, patternUses } from '../db/schema.js';

@Injectable()
export class PatternsStore {
  constructor(@Inject(DB) private readonly db: Db) {}

  usesOf(revisionIds: readonly string[]): Promise<Row<'patternUse'>[]> {
    return this.db
      .select()
      .from(patternUses)
      .where(inArray(patternUses.patternRevisionId, [...revisionIds]));
  }

  ofEntry(entryId: string): Promise<Row<'entryPattern'>[]> {
    return this.db.select().from(entryPatterns).where(eq(entryPatterns.entryId, entryId));
  }

  /** Names of the batches that have a layer, or a part, of one of the revisions. */
  batchesWith(revisionIds: readonly string[]): Promise<string[]> {
    return batchesUsing(this.db, 'patternRevisionId', revisionIds);
  }

  /** Everything that was made, newest first. */
  made(): Promise<(Pick<Row<'entryPattern'>, 'patternRevisionId' | 'stops' | 'liked'> & { madeOn: string })[]> {
    return this.db
      .select({
        patternRevisionId: entryPatterns.patternRevisionId,
        stops: entryPatterns.stops,
        liked: entryPatterns.liked,
        madeOn: entries.madeOn,
      })
      .from(entryPatterns)
      .innerJoin(entries, eq(entries.id, entryPatterns.entryId))
      .orderBy(desc(entries.madeOn), desc(entries.version));
  }
}
