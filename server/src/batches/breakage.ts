import { Inject, Injectable } from '@nestjs/common';
import { sql } from 'drizzle-orm';
import { ASSUMED_BREAKAGE, breakageLearned, type MadeAtOnce } from '#core/batch';
import type { LearnedFigure } from '#core/learned';
import { breakageKey } from '#contract';
import { DB } from '../db/db.module.js';
import type { Db } from '../db/dataFile.js';
import { HeldRead } from '../db/heldRead.js';
import { Journal } from '../db/journal.js';
import { SetAside } from '../db/setAside.module.js';

/** How many pieces break, by the line that most of their clay is of. */
@Injectable()
export class Breakage {
  /** learned once, until something is counted */
  private readonly known: HeldRead<ReadonlyMap<string, LearnedFigure>>;

  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Journal) journal: Journal,
    @Inject(SetAside) private readonly aside: SetAside,
  ) {
    this.known = new HeldRead(journal, ['entryPiece', 'entryTaking', 'clay'], () => this.learn());
  }

  /** The share that breaks of a line; null: nobody counted, or it is set aside. */
  async ofLine(lineId: string): Promise<number | null> {
    const learned = (await this.all()).get(lineId);
    if (!learned || (await this.aside.keys()).has(breakageKey(lineId))) return null;
    return ASSUMED_BREAKAGE * learned.factor;
  }

  /** What was learned of every line, set aside or not. */
  all(): Promise<ReadonlyMap<string, LearnedFigure>> {
    return this.known.get();
  }

  private async learn(): Promise<ReadonlyMap<string, LearnedFigure>> {
    // an entry is of the line that most of its clay is of
    const rows = await this.db.all<MadeAtOnce & { lineId: string }>(sql`
      WITH made AS (
        SELECT entry_id, sum(count) AS pieces, sum(broken) AS broken FROM entry_piece
        WHERE broken IS NOT NULL AND count > 0 GROUP BY entry_id),
      went AS (
        SELECT t.entry_id, c.line_id, sum(t.grams) AS grams,
          row_number() OVER (PARTITION BY t.entry_id ORDER BY sum(t.grams) DESC) AS place
        FROM entry_taking t JOIN clay c ON c.id = t.clay_id
        WHERE t.entry_id IN (SELECT entry_id FROM made) GROUP BY t.entry_id, c.line_id)
      SELECT w.line_id AS lineId, m.pieces, m.broken
      FROM made m JOIN went w ON w.entry_id = m.entry_id AND w.place = 1
      JOIN entry e ON e.id = m.entry_id ORDER BY e.made_on, e.rowid`);
    const days = new Map<string, MadeAtOnce[]>();
    for (const { lineId, ...day } of rows) days.set(lineId, [...(days.get(lineId) ?? []), day]);
    return new Map([...days].map(([lineId, all]) => [lineId, breakageLearned(all)]));
  }
}
