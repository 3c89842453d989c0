import { Inject, Injectable } from '@nestjs/common';
import { asc, inArray } from 'drizzle-orm';
import { DB } from '../db/db.module.js';
import type { Row } from '../db/journal.js';
import type { Db } from '../db/dataFile.js';
import { plansUsing } from '../db/plansUsing.js';
import { blendColours, entryBlends, settings } from '../db/schema.js';

@Injectable()
export class BlendsStore {
  constructor(@Inject(DB) private readonly db: Db) {}

  coloursOf(revisionIds: readonly string[]): Promise<Row<'blendColour'>[]> {
    return this.db
      .select()
      .from(blendColours)
      .where(inArray(blendColours.blendRevisionId, [...revisionIds]))
      .orderBy(asc(blendColours.position));
  }

  plansUsing(revisionIds: readonly string[]): Promise<string[]> {
    return plansUsing(this.db, 'blendRevisionId', revisionIds);
  }

  counted(): Promise<{ contrast: number; passes: number }[]> {
    return this.db.select({ contrast: entryBlends.contrast, passes: entryBlends.passes }).from(entryBlends);
  }

  async settingsThere(ids: readonly string[]): Promise<Set<string>> {
    const rows = await this.db
      .select({ id: settings.id })
      .from(settings)
      .where(inArray(settings.id, [...ids]));
    return new Set(rows.map((r) => r.id));
  }
}
