import { Inject, Injectable } from '@nestjs/common';
import { asc, desc, eq, inArray } from 'drizzle-orm';
import { DB } from '../db/db.module.js';
import type { Row } from '../db/journal.js';
import type { Db } from '../db/dataFile.js';
import { canesUsing } from '../db/canesUsing.js';
import { blendColours, blendRevisions, blends, entryBlends, settings } from '../db/schema.js';

@Injectable()
export class BlendsStore {
  constructor(@Inject(DB) private readonly db: Db) {}

  /** Newest first. */
  all(): Promise<Row<'blend'>[]> {
    return this.db.select().from(blends).orderBy(desc(blends.version));
  }

  /** By its id. */
  async one(id: string): Promise<Row<'blend'> | undefined> {
    const [row] = await this.db.select().from(blends).where(eq(blends.id, id));
    return row;
  }

  async named(name: string): Promise<Row<'blend'> | undefined> {
    const wanted = name.trim().toLowerCase();
    return (await this.all()).find((b) => b.name.toLowerCase() === wanted);
  }

  /** Oldest first. */
  revisionsOf(blendId: string): Promise<Row<'blendRevision'>[]> {
    return this.db
      .select()
      .from(blendRevisions)
      .where(eq(blendRevisions.blendId, blendId))
      .orderBy(asc(blendRevisions.number));
  }

  coloursOf(revisionIds: readonly string[]): Promise<Row<'blendColour'>[]> {
    return this.db
      .select()
      .from(blendColours)
      .where(inArray(blendColours.blendRevisionId, [...revisionIds]))
      .orderBy(asc(blendColours.position));
  }

  /** Revisions of which something was made. */
  async madeOf(revisionIds: readonly string[]): Promise<Set<string>> {
    const rows = await this.db
      .selectDistinct({ id: entryBlends.blendRevisionId })
      .from(entryBlends)
      .where(inArray(entryBlends.blendRevisionId, [...revisionIds]));
    return new Set(rows.map((r) => r.id));
  }

  canesUsing(revisionIds: readonly string[]): Promise<string[]> {
    return canesUsing(this.db, 'blendRevisionId', revisionIds);
  }

  counted(): Promise<{ contrast: number; passes: number }[]> {
    return this.db.select({ contrast: entryBlends.contrast, passes: entryBlends.passes }).from(entryBlends);
  }

  async revision(id: string): Promise<Row<'blendRevision'> | undefined> {
    const [row] = await this.db.select().from(blendRevisions).where(eq(blendRevisions.id, id));
    return row;
  }

  async settingsThere(ids: readonly string[]): Promise<Set<string>> {
    const rows = await this.db
      .select({ id: settings.id })
      .from(settings)
      .where(inArray(settings.id, [...ids]));
    return new Set(rows.map((r) => r.id));
  }
}
