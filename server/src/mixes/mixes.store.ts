import { Inject, Injectable } from '@nestjs/common';
import { eq, inArray } from 'drizzle-orm';
import { DB } from '../db/db.module.js';
import type { Db } from '../db/open.js';
import { batches, entries, entryMixes, layers, pieces } from '../db/schema.js';

@Injectable()
export class MixesStore {
  constructor(@Inject(DB) private readonly db: Db) {}

  /** Those of the revisions that something was made from. */
  async madeOf(revisionIds: readonly string[]): Promise<Set<string>> {
    if (revisionIds.length === 0) return new Set();
    const rows = await this.db.selectDistinct({ id: entryMixes.revisionId }).from(entryMixes)
      .where(inArray(entryMixes.revisionId, [...revisionIds]));
    return new Set(rows.map((r) => r.id));
  }

  /** Batches and diary entries that use the revisions, in words. */
  async usesOf(revisionIds: readonly string[]): Promise<string[]> {
    const inBatches = await this.db.selectDistinct({ name: batches.name }).from(layers)
      .innerJoin(pieces, eq(pieces.id, layers.pieceId)).innerJoin(batches, eq(batches.id, pieces.batchId))
      .where(inArray(layers.revisionId, [...revisionIds]));
    const inDiary = await this.db.selectDistinct({ title: entries.title }).from(entryMixes)
      .innerJoin(entries, eq(entries.id, entryMixes.entryId)).where(inArray(entryMixes.revisionId, [...revisionIds]));
    return [...inBatches.map((b) => `the batch ${b.name}`), ...inDiary.map((e) => `the diary entry ${e.title}`)];
  }
}
