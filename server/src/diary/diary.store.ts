import { Inject, Injectable } from '@nestjs/common';
import { asc, count, desc, eq, or, sql } from 'drizzle-orm';
import {
  MOST_FOUND,
  type BakeTold,
  type DiaryCard,
  type DiaryListAnswer,
  type UsedFinding,
  type WallAnswer,
} from '#contract';
import { DB } from '../db/db.module.js';
import type { Row } from '../db/journal.js';
import type { Db } from '../db/dataFile.js';
import {
  entries,
  entryBakes,
  entryBlends,
  entryFindings,
  entryMixes,
  entryPictures,
  entryPieces,
  entryTakings,
} from '../db/schema.js';

/** A `DiaryCard` of the entry `e`. */
const COLUMNS = sql.raw('e.id, e.version, e.made_on AS madeOn, e.title, e.note, e.outcome, e.batch_id AS batchId');
/** `beet ring` → `"beet"* "ring"*`: each word as the start of one, nothing else of the search syntax. */
const matchOf = (words: readonly string[]): string => words.map((word) => `"${word.replaceAll('"', '')}"*`).join(' ');

@Injectable()
export class DiaryStore {
  constructor(@Inject(DB) private readonly db: Db) {}

  /** Newest first; with words, only entries that hold each of them. */
  async list(words: readonly string[], offset: number, limit: number): Promise<DiaryListAnswer> {
    if (words.length === 0) {
      const [all] = await this.db.select({ total: count() }).from(entries);
      // the inner query walks the index alone, so that a page far back costs little
      const rows = await this.db.all<DiaryCard>(sql`
        SELECT ${COLUMNS} FROM (
          SELECT rowid AS hit FROM entry ORDER BY made_on DESC, rowid DESC LIMIT ${limit} OFFSET ${offset})
        JOIN entry e ON e.rowid = hit ORDER BY e.made_on DESC, hit DESC`);
      return { total: all?.total ?? 0, entries: rows };
    }
    const rows = await this.db.all<DiaryCard & { total: number }>(sql`
      WITH hits AS MATERIALIZED (
        SELECT rowid AS id FROM entry_search WHERE entry_search MATCH ${matchOf(words)}
        ORDER BY rowid DESC LIMIT ${MOST_FOUND})
      SELECT ${COLUMNS}, (SELECT count(*) FROM hits) AS total
      FROM hits JOIN entry e ON e.rowid = hits.id
      ORDER BY e.made_on DESC, hits.id DESC LIMIT ${limit} OFFSET ${offset}`);
    return { total: rows[0]?.total ?? 0, entries: rows.map(({ total: _, ...card }) => card) };
  }

  /** Every entry that holds each of some words. */
  async idsOf(words: readonly string[]): Promise<ReadonlySet<string>> {
    const rows = await this.db.all<{ id: string }>(sql`
      SELECT e.id FROM entry_search s JOIN entry e ON e.rowid = s.rowid WHERE entry_search MATCH ${matchOf(words)}`);
    return new Set(rows.map(({ id }) => id));
  }

  /** Cards of some entries, by their ids. */
  async cardsOf(ids: readonly string[]): Promise<ReadonlyMap<string, DiaryCard>> {
    if (ids.length === 0) return new Map();
    const list = sql.join(
      ids.map((id) => sql`${id}`),
      sql`, `,
    );
    const rows = await this.db.all<DiaryCard>(sql`SELECT ${COLUMNS} FROM entry e WHERE e.id IN (${list})`);
    return new Map(rows.map((row) => [row.id, row]));
  }

  async entry(id: string): Promise<Row<'entry'> | undefined> {
    const [row] = await this.db.select().from(entries).where(eq(entries.id, id));
    return row;
  }

  piecesOf(id: string): Promise<Row<'entryPiece'>[]> {
    return this.db.select().from(entryPieces).where(eq(entryPieces.entryId, id));
  }

  findingsOf(id: string): Promise<UsedFinding[]> {
    return this.db
      .select({ name: entryFindings.name, count: entryFindings.count })
      .from(entryFindings)
      .where(eq(entryFindings.entryId, id));
  }

  mixesOf(id: string): Promise<Row<'entryMix'>[]> {
    return this.db.select().from(entryMixes).where(eq(entryMixes.entryId, id));
  }

  blendsOf(id: string): Promise<Row<'entryBlend'>[]> {
    return this.db.select().from(entryBlends).where(eq(entryBlends.entryId, id));
  }

  /** Loads that an entry tells of, and those that the pieces of its batch were in. */
  async bakesOf(id: string, batchId: string | null): Promise<BakeTold[]> {
    const own = eq(entryBakes.entryId, id);
    const ofBatch = sql`EXISTS (SELECT 1 FROM json_each(${entryBakes.items}) WHERE value ->> 'batchId' = ${batchId})`;
    const rows = await this.db
      .select()
      .from(entryBakes)
      .where(batchId === null ? own : or(own, ofBatch));
    return rows.map(({ id: _, entryId: __, ...bake }) => bake);
  }

  picturesOf(id: string): Promise<Row<'entryPicture'>[]> {
    return this.db
      .select()
      .from(entryPictures)
      .where(eq(entryPictures.entryId, id))
      .orderBy(asc(entryPictures.position));
  }

  /** What an entry was made from, that has a plan: canes, patterned sheets, blends, mixes. */
  async plansOf(id: string): Promise<(readonly ['cane' | 'pattern' | 'blend' | 'mix', string])[]> {
    const rows = await this.db.all<{ kind: 'cane' | 'pattern' | 'blend' | 'mix'; id: string }>(sql`
      SELECT 'cane' AS kind, r.cane_id AS id FROM entry_cane e JOIN cane_revision r ON r.id = e.cane_revision_id
        WHERE e.entry_id = ${id}
      UNION ALL SELECT 'pattern', r.pattern_id FROM entry_pattern e
        JOIN pattern_revision r ON r.id = e.pattern_revision_id WHERE e.entry_id = ${id}
      UNION ALL SELECT 'blend', r.blend_id FROM entry_blend e
        JOIN blend_revision r ON r.id = e.blend_revision_id WHERE e.entry_id = ${id}
      UNION ALL SELECT 'mix', r.mix_id FROM entry_mix e JOIN revision r ON r.id = e.revision_id
        WHERE e.entry_id = ${id}`);
    return rows.map((row) => [row.kind, row.id] as const);
  }

  /** Photographs of all entries, the newest first. */
  async wall(offset: number, limit: number): Promise<WallAnswer> {
    const [all] = await this.db.select({ total: count() }).from(entryPictures);
    const pictures = await this.db
      .select({
        id: entryPictures.pictureId,
        entryId: entries.id,
        title: entries.title,
        madeOn: entries.madeOn,
        outcome: entries.outcome,
      })
      .from(entryPictures)
      .innerJoin(entries, eq(entries.id, entryPictures.entryId))
      .orderBy(desc(entries.madeOn), desc(entries.id), asc(entryPictures.position))
      .limit(limit)
      .offset(offset);
    return { total: all?.total ?? 0, pictures };
  }

  takingsOf(id: string): Promise<Row<'entryTaking'>[]> {
    return this.db.select().from(entryTakings).where(eq(entryTakings.entryId, id));
  }
}
