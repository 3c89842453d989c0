import { Inject, Injectable } from '@nestjs/common';
import { count, desc, eq, sql } from 'drizzle-orm';
import type { DiaryCard, DiaryListAnswer } from '#contract';
import { DB } from '../db/db.module.js';
import type { Row } from '../db/journal.js';
import type { Db } from '../db/open.js';
import { entries, entryMixes, entryPieces, entryTakings } from '../db/schema.js';

const CARD = {
  id: entries.id, version: entries.version, madeOn: entries.madeOn, title: entries.title, note: entries.note, batchId: entries.batchId,
};
/** More hits than this are counted as this many: nobody turns so many pages. */
const MOST_HITS = 1000;

/** `beet ring` → `"beet"* "ring"*`: each word as the start of one, nothing else of the search syntax. */
const matchOf = (words: readonly string[]): string => words.map((word) => `"${word.replaceAll('"', '')}"*`).join(' ');

@Injectable()
export class DiaryStore {
  constructor(@Inject(DB) private readonly db: Db) {}

  /** Newest first; with words, only entries that hold each of them. */
  async list(words: readonly string[], offset: number, limit: number): Promise<DiaryListAnswer> {
    if (words.length === 0) {
      const [all] = await this.db.select({ total: count() }).from(entries);
      const rows: DiaryCard[] = await this.db.select(CARD).from(entries)
        .orderBy(desc(entries.madeOn), desc(sql`rowid`)).limit(limit).offset(offset);
      return { total: all?.total ?? 0, entries: rows };
    }
    const hits = sql`SELECT rowid FROM entry_search WHERE entry_search MATCH ${matchOf(words)} ORDER BY rowid DESC LIMIT ${MOST_HITS}`;
    const [all] = await this.db.all<{ total: number }>(sql`SELECT count(*) AS total FROM (${hits})`);
    const rows: DiaryCard[] = await this.db.select(CARD).from(entries).where(sql`rowid IN (${hits})`)
      .orderBy(desc(entries.madeOn), desc(sql`rowid`)).limit(limit).offset(offset);
    return { total: all?.total ?? 0, entries: rows };
  }

  async entry(id: string): Promise<Row<'entry'> | undefined> {
    const [row] = await this.db.select().from(entries).where(eq(entries.id, id));
    return row;
  }

  piecesOf(id: string): Promise<Row<'entryPiece'>[]> {
    return this.db.select().from(entryPieces).where(eq(entryPieces.entryId, id));
  }

  mixesOf(id: string): Promise<Row<'entryMix'>[]> {
    return this.db.select().from(entryMixes).where(eq(entryMixes.entryId, id));
  }

  takingsOf(id: string): Promise<Row<'entryTaking'>[]> {
    return this.db.select().from(entryTakings).where(eq(entryTakings.entryId, id));
  }
}
