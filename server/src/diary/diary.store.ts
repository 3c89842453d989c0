import { Inject, Injectable } from '@nestjs/common';
import { asc, count, eq, or, sql } from 'drizzle-orm';
import {
  MOST_FOUND,
  type BakeTold,
  type DiaryCard,
  type DiaryListAnswer,
  type UsedFinding,
  type WallAnswer,
} from '#contract';
import { rowsOf, type AsText } from '../db/asText.js';
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

/** A `DiaryCard` of the entry `e` as text: to the driver a row of its own costs many times what this one costs. */
const CARD = sql.raw(
  "json_object('id', e.id, 'version', e.version, 'madeOn', e.made_on, 'title', e.title, 'note', e.note, " +
    "'outcome', e.outcome, 'batchId', e.batch_id)",
);

/** `beet ring` → `"beet"* "ring"*`: each word as the start of one, nothing else of the search syntax. */
const matchOf = (words: readonly string[]): string => words.map((word) => `"${word.replaceAll('"', '')}"*`).join(' ');

/** Tables with the parts of an entry. */
const ENTRY_PARTS = [
  ...(['entry_picture', 'entry_piece', 'entry_finding', 'entry_mix', 'entry_blend', 'entry_cane'] as const),
  ...(['entry_pattern', 'sheet', 'flow', 'entry_conditioning', 'entry_taking', 'entry_bake'] as const),
];
export type EntryPart = (typeof ENTRY_PARTS)[number];

@Injectable()
export class DiaryStore {
  constructor(@Inject(DB) private readonly db: Db) {}

  /** Newest first; with words, only entries that hold each of them. */
  async list(words: readonly string[], offset: number, limit: number): Promise<DiaryListAnswer> {
    if (words.length === 0) {
      const [all] = await this.db.select({ total: count() }).from(entries);
      // the inner query walks the index alone, so that a page far back costs little
      const found = await this.db.all<AsText>(sql`
        SELECT json_group_array(${CARD} ORDER BY e.made_on DESC, hit DESC) AS rows FROM (
          SELECT rowid AS hit FROM entry ORDER BY made_on DESC, rowid DESC LIMIT ${limit} OFFSET ${offset})
        JOIN entry e ON e.rowid = hit`);
      return { total: all?.total ?? 0, entries: rowsOf<DiaryCard>(found) };
    }
    const found = await this.db.all<AsText & { total: number }>(sql`
      WITH hits AS MATERIALIZED (
        SELECT rowid AS id FROM entry_search WHERE entry_search MATCH ${matchOf(words)}
        ORDER BY rowid DESC LIMIT ${MOST_FOUND}),
      page AS (
        SELECT e.rowid AS hit FROM hits JOIN entry e ON e.rowid = hits.id
        ORDER BY e.made_on DESC, hit DESC LIMIT ${limit} OFFSET ${offset})
      SELECT json_group_array(${CARD} ORDER BY e.made_on DESC, hit DESC) AS rows, (SELECT count(*) FROM hits) AS total
      FROM page JOIN entry e ON e.rowid = hit`);
    return { total: found[0]?.total ?? 0, entries: rowsOf<DiaryCard>(found) };
  }

  /** Every entry that holds each of some words. */
  async idsOf(words: readonly string[]): Promise<ReadonlySet<string>> {
    const found = await this.db.all<AsText>(sql`
      SELECT json_group_array(e.id) AS rows
      FROM entry_search s JOIN entry e ON e.rowid = s.rowid WHERE entry_search MATCH ${matchOf(words)}`);
    return new Set(rowsOf<string>(found));
  }

  /** Cards of some entries, by their ids. */
  async cardsOf(ids: readonly string[]): Promise<ReadonlyMap<string, DiaryCard>> {
    if (ids.length === 0) return new Map();
    const found = await this.db.all<AsText>(sql`
      SELECT json_group_array(${CARD}) AS rows
      FROM json_each(${JSON.stringify(ids)}) one JOIN entry e ON e.id = one.value`);
    return new Map(rowsOf<DiaryCard>(found).map((card) => [card.id, card]));
  }

  async entry(id: string): Promise<Row<'entry'> | undefined> {
    const [row] = await this.db.select().from(entries).where(eq(entries.id, id));
    return row;
  }

  /** Which tables have something of an entry: the others need not be asked. */
  async partsOf(id: string): Promise<ReadonlySet<EntryPart>> {
    const found = await this.db.all<{ part: EntryPart }>(
      sql.join(
        ENTRY_PARTS.map(
          (part) => sql`SELECT ${part} AS part WHERE EXISTS (SELECT 1 FROM ${sql.raw(part)} WHERE entry_id = ${id})`,
        ),
        sql` UNION ALL `,
      ),
    );
    return new Set(found.map(({ part }) => part));
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
  async allPictures(): Promise<WallAnswer['pictures']> {
    const found = await this.db.all<AsText>(sql`
      SELECT json_group_array(
        json_object('id', p.picture_id, 'entryId', e.id, 'title', e.title, 'madeOn', e.made_on, 'outcome', e.outcome)
        ORDER BY e.made_on DESC, e.id DESC, p.position) AS rows
      FROM entry_picture p JOIN entry e ON e.id = p.entry_id`);
    return rowsOf<WallAnswer['pictures'][number]>(found);
  }

  takingsOf(id: string): Promise<Row<'entryTaking'>[]> {
    return this.db.select().from(entryTakings).where(eq(entryTakings.entryId, id));
  }
}
