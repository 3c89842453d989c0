import { Inject, Injectable } from '@nestjs/common';
import { and, eq, sql } from 'drizzle-orm';
import type { DescentAnswer, DiaryAnswer, MonthOfKind, MonthsAnswer, WallAnswer } from '#contract';
import { DB } from '../db/db.module.js';
import type { Db } from '../db/dataFile.js';
import { HeldRead } from '../db/heldRead.js';
import { Journal } from '../db/journal.js';
import { flows, sheets } from '../db/schema.js';
import { Studio } from '../mixes/studio.js';
import { DiaryService } from './diary.service.js';
import { DiaryStore } from './diary.store.js';

/** Nobody lays a thing into another more often than this; what would be a circle ends here as well. */
const MOST_MADE = 60;

/** Tables that months are counted from. */
const COUNTED = [
  ...(['entry', 'entryPiece', 'entryTaking', 'entryTime'] as const),
  ...(['entryCane', 'entryPattern', 'entryBlend', 'entryBake'] as const),
];

type Made = DescentAnswer['made'][number];
type Went = Made['went'][number];

/** Months and descents: the diary as a whole. */
@Injectable()
export class LookBack {
  /** counted once, until the diary changes */
  private readonly counted: HeldRead<readonly MonthOfKind[]>;
  /** as they hang, until one is added or taken away */
  private readonly hung: HeldRead<WallAnswer['pictures']>;

  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Journal) journal: Journal,
    @Inject(Studio) private readonly studio: Studio,
    @Inject(DiaryService) private readonly diary: DiaryService,
    @Inject(DiaryStore) private readonly store: DiaryStore,
  ) {
    this.counted = new HeldRead(journal, COUNTED, () => this.count());
    this.hung = new HeldRead(journal, ['entry', 'entryPicture'], () => this.store.allPictures());
  }

  /** Photographs of all entries, the newest first. */
  async wall(offset: number, limit: number): Promise<WallAnswer> {
    const all = await this.hung.get();
    return { total: all.length, pictures: all.slice(offset, offset + limit) };
  }

  async months(): Promise<MonthsAnswer> {
    return { months: await this.counted.get() };
  }

  private async count(): Promise<readonly MonthOfKind[]> {
    return this.db.all<MonthOfKind>(sql`
      WITH made AS (SELECT entry_id, sum(count) AS pieces, sum(coalesce(broken, 0)) AS broken
        FROM entry_piece GROUP BY entry_id),
      went AS (SELECT entry_id, sum(grams) AS grams FROM entry_taking GROUP BY entry_id),
      took AS (SELECT entry_id, sum(minutes) AS minutes FROM entry_time GROUP BY entry_id),
      of_kind AS (SELECT e.id, substr(e.made_on, 1, 7) AS month, CASE
        WHEN EXISTS (SELECT 1 FROM entry_piece x WHERE x.entry_id = e.id) THEN 'pieces'
        WHEN EXISTS (SELECT 1 FROM entry_cane x WHERE x.entry_id = e.id) THEN 'canes'
        WHEN EXISTS (SELECT 1 FROM entry_pattern x WHERE x.entry_id = e.id) THEN 'patterns'
        WHEN EXISTS (SELECT 1 FROM entry_blend x WHERE x.entry_id = e.id) THEN 'blends'
        WHEN EXISTS (SELECT 1 FROM entry_bake x WHERE x.entry_id = e.id) THEN 'bakes'
        WHEN EXISTS (SELECT 1 FROM sheet x WHERE x.entry_id = e.id) THEN 'sheets'
        ELSE 'other' END AS kind FROM entry e)
      SELECT k.month, k.kind, count(*) AS entries, coalesce(sum(t.minutes), 0) AS minutes,
        coalesce(sum(w.grams), 0) AS grams, coalesce(sum(m.pieces), 0) AS pieces, coalesce(sum(m.broken), 0) AS broken
      FROM of_kind k LEFT JOIN made m ON m.entry_id = k.id LEFT JOIN went w ON w.entry_id = k.id
      LEFT JOIN took t ON t.entry_id = k.id
      GROUP BY k.month, k.kind ORDER BY k.month, k.kind`);
  }

  /** What was made and all that it was made of: the things that went in, the entries those were made in, and so on. */
  async descent(id: string): Promise<DescentAnswer> {
    const open = [id];
    const went = new Map<string, Went[]>([[id, []]]);
    for (const into of open) {
      for (const [from, thing] of await this.wentInto(into)) {
        const known = went.get(from);
        known?.push(thing);
        if (known || open.length >= MOST_MADE) continue;
        went.set(from, [thing]);
        open.push(from);
      }
    }
    const made: Made[] = [];
    for (const one of open) made.push(this.toldAs(await this.diary.open(one), went.get(one) ?? []));
    return { made };
  }

  private toldAs(entry: DiaryAnswer, went: Made['went']): Made {
    const lineOf = (clayId: string): string => this.studio.line(this.studio.clay(clayId)?.lineId ?? '')?.name ?? '';
    const lines = Object.fromEntries(entry.clays.map(({ clayId }) => [clayId, lineOf(clayId)]));
    return { entry, went, lines };
  }

  /** Things that an entry took, with the entries they were made in. */
  private async wentInto(into: string): Promise<readonly (readonly [from: string, went: Went])[]> {
    const rows = await this.db
      .select({ from: sheets.entryId, name: sheets.name, grams: flows.grams })
      .from(flows)
      .innerJoin(sheets, eq(sheets.id, flows.madeId))
      .where(and(eq(flows.entryId, into), eq(flows.kind, 'fromMade')));
    return rows.map(({ from, name, grams }) => [from, { name, grams, into }] as const);
  }
}
