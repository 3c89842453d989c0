import { Inject, Injectable } from '@nestjs/common';
import { eq, inArray } from 'drizzle-orm';
import { DB } from '../db/db.module.js';
import type { Db } from '../db/dataFile.js';
import { batchesUsing, plansUsing } from '../db/plansUsing.js';
import {
  blendColours,
  blendRevisions,
  blends,
  entryConditionings,
  entryTakings,
  ingredients,
  mixes,
  revisions,
  sheets,
  tubClays,
  tubs,
} from '../db/schema.js';

@Injectable()
export class ShelfStore {
  constructor(@Inject(DB) private readonly db: Db) {}

  /** Mixes whose recipe, of any revision, names one of the clays; by clay. */
  async mixesUsing(clayIds: readonly string[]): Promise<{ clayId: string | null; id: string; name: string }[]> {
    return this.db
      .selectDistinct({ clayId: ingredients.clayId, id: mixes.id, name: mixes.name })
      .from(ingredients)
      .innerJoin(revisions, eq(revisions.id, ingredients.revisionId))
      .innerJoin(mixes, eq(mixes.id, revisions.mixId))
      .where(inArray(ingredients.clayId, [...clayIds]))
      .orderBy(mixes.name);
  }

  batchesUsing(clayId: string): Promise<string[]> {
    return batchesUsing(this.db, 'clayId', [clayId]);
  }

  async blendsUsing(clayId: string): Promise<string[]> {
    const rows = await this.db
      .selectDistinct({ name: blends.name })
      .from(blendColours)
      .innerJoin(blendRevisions, eq(blendRevisions.id, blendColours.blendRevisionId))
      .innerJoin(blends, eq(blends.id, blendRevisions.blendId))
      .where(eq(blendColours.clayId, clayId));
    return rows.map((r) => r.name);
  }

  plansUsing(clayId: string): Promise<string[]> {
    return plansUsing(this.db, 'clayId', [clayId]);
  }

  async inDiary(clayId: string): Promise<boolean> {
    const told = await Promise.all(
      [entryTakings, sheets, entryConditionings, tubs, tubClays].map((table) =>
        this.db.select({ id: table.id }).from(table).where(eq(table.clayId, clayId)).limit(1),
      ),
    );
    return told.some((rows) => rows.length > 0);
  }
}
