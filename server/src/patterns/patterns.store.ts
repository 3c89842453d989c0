import { Inject, Injectable } from '@nestjs/common';
import { desc, eq, inArray } from 'drizzle-orm';
import type { Db } from '../db/dataFile.js';
import { DB } from '../db/db.module.js';
import type { Row } from '../db/journal.js';
import { batches, entries, entryPatterns, layers, patternUses, pieces } from '../db/schema.js';

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

  /** Names of the batches that have a layer of one of the revisions. */
  async batchesWith(revisionIds: readonly string[]): Promise<string[]> {
    const rows = await this.db
      .selectDistinct({ name: batches.name })
      .from(layers)
      .innerJoin(pieces, eq(pieces.id, layers.pieceId))
      .innerJoin(batches, eq(batches.id, pieces.batchId))
      .where(inArray(layers.patternRevisionId, [...revisionIds]));
    return rows.map((r) => r.name);
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
