import { Inject, Injectable } from '@nestjs/common';
import { desc, eq, inArray } from 'drizzle-orm';
import { DB } from '../db/db.module.js';
import type { Row } from '../db/journal.js';
import type { Db } from '../db/dataFile.js';
import { batchesUsing, plansUsing } from '../db/plansUsing.js';
import { blendColours, blendRevisions, blends, chips, entries, entryMixes, sheets, tubs } from '../db/schema.js';

@Injectable()
export class MixesStore {
  constructor(@Inject(DB) private readonly db: Db) {}

  /** Newest first. */
  chipsOf(revisionIds: readonly string[]): Promise<Row<'chip'>[]> {
    return this.db
      .select()
      .from(chips)
      .where(inArray(chips.revisionId, [...revisionIds]))
      .orderBy(desc(chips.madeOn), desc(chips.version));
  }

  async chip(id: string): Promise<Row<'chip'> | undefined> {
    const [row] = await this.db.select().from(chips).where(eq(chips.id, id));
    return row;
  }

  /** Chips, batches and diary entries that use the revisions, in words. */
  async usesOf(revisionIds: readonly string[]): Promise<string[]> {
    const inBatches = await batchesUsing(this.db, 'revisionId', revisionIds);
    const inDiary = await this.db
      .selectDistinct({ title: entries.title })
      .from(entryMixes)
      .innerJoin(entries, eq(entries.id, entryMixes.entryId))
      .where(inArray(entryMixes.revisionId, [...revisionIds]));
    const inBlends = await this.db
      .selectDistinct({ name: blends.name })
      .from(blendColours)
      .innerJoin(blendRevisions, eq(blendRevisions.id, blendColours.blendRevisionId))
      .innerJoin(blends, eq(blends.id, blendRevisions.blendId))
      .where(inArray(blendColours.revisionId, [...revisionIds]));
    const things = await this.db
      .select({ name: sheets.name })
      .from(sheets)
      .where(inArray(sheets.revisionId, [...revisionIds]));
    const inTubs = await this.db
      .select({ name: tubs.name })
      .from(tubs)
      .where(inArray(tubs.revisionId, [...revisionIds]));
    const inPlans = await plansUsing(this.db, 'revisionId', revisionIds);
    const logged = (await this.chipsOf(revisionIds)).length;
    return [
      ...(logged > 0 ? [logged === 1 ? 'a chip that was made of it' : `${logged} chips that were made of it`] : []),
      ...inBlends.map((b) => `the blend ${b.name}`),
      ...inPlans,
      ...inBatches.map((b) => `the batch ${b}`),
      ...inDiary.map((e) => `the diary entry ${e.title}`),
      ...things.map((t) => `${t.name}, which was made`),
      ...inTubs.map((t) => `the tub ${t.name}`),
    ];
  }
}
