import { Inject, Injectable, type OnModuleInit } from '@nestjs/common';
import { asc } from 'drizzle-orm';
import { createHash } from 'node:crypto';
import type { Clay } from '#core/clay';
import { flatten, type Learned } from '#core/mix';
import type { EvidenceAnswer, LearningAnswer, LearningDto } from '#contract';
import { ProblemException } from '../access/problem.js';
import { DB } from '../db/db.module.js';
import type { Db } from '../db/dataFile.js';
import { Journal } from '../db/journal.js';
import { chips, learning } from '../db/schema.js';
import { Studio } from '../mixes/studio.js';

const ID = 'learning';
type Kept = typeof learning.$inferSelect;

/**
 * What was learned from the chips. A window's worker works it out; the
 * server keeps it, so that the board and every plan predict with it too.
 * It says nothing that the chips do not, so it is no change to undo.
 */
@Injectable()
export class LearningService implements OnModuleInit {
  private kept: Kept = { id: ID, key: '', use: true, learned: {} };

  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Journal) private readonly journal: Journal,
    @Inject(Studio) private readonly studio: Studio,
  ) {}

  async onModuleInit(): Promise<void> {
    const [kept] = await this.db.select().from(learning);
    if (kept) this.follow(kept);
  }

  async now(): Promise<LearningAnswer> {
    const evidence = await this.evidence();
    const inChips = new Set(evidence.flatMap((e) => e.shares.map((s) => s.clayId)));
    const clays = this.studio
      .all('clay')
      .filter((c) => !c.retired || inChips.has(c.id))
      .map(({ id, lineId, name, kind, rawHex, bakedHex, strength }): Clay => ({
        id,
        lineId,
        name,
        kind,
        rawHex,
        bakedHex,
        strength,
      }));
    const key = createHash('sha1')
      .update(
        JSON.stringify([
          evidence.map(({ id, shares, stage, lab, way }) => [id, shares, stage, lab, way]),
          clays.map(({ name: _, ...rest }) => rest),
        ]),
      )
      .digest('hex');
    const { key: learnedKey, learned, use } = this.kept;
    return {
      key,
      chips: evidence,
      clays,
      use,
      learned: learnedKey === '' ? null : learned,
      learnedKey: learnedKey === '' ? null : learnedKey,
    };
  }

  async keep({ key, clays }: LearningDto): Promise<LearningAnswer> {
    const now = await this.now();
    if (now.key !== key)
      throw new ProblemException(409, 'Learned from other chips', 'The chips have changed since this was learned.');
    const learned: Learned = Object.fromEntries(clays.map(({ clayId, ...rest }) => [clayId, rest]));
    await this.write({ ...this.kept, key, learned });
    return this.now();
  }

  async use(use: boolean): Promise<LearningAnswer> {
    await this.write({ ...this.kept, use });
    return this.now();
  }

  private async write(row: Kept): Promise<void> {
    await this.journal.beside(async () => {
      await this.db.insert(learning).values(row).onConflictDoUpdate({ target: learning.id, set: row });
    });
    this.follow(row);
  }

  private follow(row: Kept): void {
    this.kept = row;
    this.studio.predictWith(row.use && row.key !== '' ? row.learned : null);
  }

  private async evidence(): Promise<EvidenceAnswer[]> {
    const rows = await this.db.select().from(chips).orderBy(asc(chips.madeOn), asc(chips.version));
    return rows.flatMap(({ id, revisionId, stage, l, a, b, way, madeOn }) => {
      const recipe = this.studio.recipe(revisionId);
      const revision = this.studio.one('revision', revisionId);
      if (!recipe || !revision) return [];
      return {
        id,
        stage,
        way,
        madeOn,
        lab: { l, a, b },
        mixId: revision.mixId,
        mixName: this.studio.nameOf(revisionId),
        notation: this.studio.notation(recipe),
        shares: flatten(recipe, this.studio).shares.map(({ clay, volume }) => ({
          clayId: clay.id,
          volume: volume.valueOf(),
        })),
      };
    });
  }
}
