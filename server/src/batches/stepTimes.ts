import { Inject, Injectable } from '@nestjs/common';
import { randomUUID } from 'node:crypto';
import { canBe, learnTimes, timeKey, timeOf, type BenchStep, type LearnedTimes } from '#core/batch';
import { minutesKey, type DoneDto } from '#contract';
import { refused } from '../access/problem.js';
import { DB } from '../db/db.module.js';
import type { Db } from '../db/dataFile.js';
import { HeldRead } from '../db/heldRead.js';
import { Journal, type Draft } from '../db/journal.js';
import { entryTimes } from '../db/schema.js';
import { SetAside } from '../db/setAside.module.js';

/** What the bench has taught of the maker's hands. */
@Injectable()
export class StepTimes {
  /** learned once, until a bench sends more; every plan and price asks for it */
  private readonly known: HeldRead<LearnedTimes>;

  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Journal) journal: Journal,
    @Inject(SetAside) private readonly aside: SetAside,
  ) {
    this.known = new HeldRead(journal, ['entryTime', 'setAside'], () => this.learn());
  }

  learned(): Promise<LearnedTimes> {
    return this.known.get();
  }

  private async learn(): Promise<LearnedTimes> {
    const aside = await this.aside.keys();
    return new Map([...(await this.all())].filter(([step]) => !aside.has(minutesKey(step))));
  }

  /** What was learned, set aside or not. */
  async all(): Promise<LearnedTimes> {
    return learnTimes(await this.db.select().from(entryTimes));
  }

  /** Writes down what steps took; what cannot be true is let go. @throws ProblemException where a step is not there */
  async write(draft: Draft, { entryId, times }: DoneDto, steps: readonly BenchStep[]): Promise<void> {
    for (const [at, { step: number, minutes }] of (times ?? []).entries()) {
      const step = steps[number];
      if (!step) throw refused('The plan has no such step.', `times.${at}.step`);
      const usual = timeOf(step).hands;
      if (step.kind !== 'bake' && canBe({ usual, minutes }))
        await draft.put('entryTime', { id: randomUUID(), entryId, key: timeKey(step), usual, minutes });
    }
  }
}
