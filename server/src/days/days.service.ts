import { Inject, Injectable } from '@nestjs/common';
import { eq } from 'drizzle-orm';
import { jobsOf, type BatchJob } from '#core/days';
import type { DaysAnswer, DaysRuleDto } from '#contract';
import { checkVersion } from '../access/problem.js';
import { BatchesService } from '../batches/batches.service.js';
import { DB } from '../db/db.module.js';
import type { Db } from '../db/dataFile.js';
import { Journal } from '../db/journal.js';
import { dayRules } from '../db/schema.js';

/** The one row. */
const ID = 'days';
/** In the evening on weekdays, in the afternoon at the weekend, until somebody says otherwise: an assumption. */
const [EVENING, AFTERNOON] = [
  { from: 18 * 60, to: 21.5 * 60 },
  { from: 14 * 60, to: 18 * 60 },
];
const FIRST: DaysRuleDto = {
  version: 0,
  weekdays: Array.from({ length: 7 }, (_, day) => ({ hours: [day < 5 ? EVENING : AFTERNOON] })),
  exceptions: [],
  moves: [],
  done: [],
};

/** What several steps at the bench are called together; a finish by what is done. */
const CALLED: Readonly<Record<BatchJob['kind'], string>> = {
  make: 'make',
  condition: 'condition and mix',
  cut: 'roll and cut',
  cores: 'shape the cores',
  'bake cores': 'bake the cores',
  together: 'shape and put together',
  bake: 'bake',
  finish: '',
};

/** When what is made: the free hours, and the jobs of all open batches. */
@Injectable()
export class DaysService {
  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Journal) private readonly journal: Journal,
    @Inject(BatchesService) private readonly batches: BatchesService,
  ) {}

  async rule(): Promise<DaysRuleDto> {
    const [row] = await this.db.select().from(dayRules).where(eq(dayRules.id, ID));
    if (!row) return FIRST;
    const { id: _, ...rule } = row;
    return rule;
  }

  async all(): Promise<DaysAnswer> {
    const open = await this.batches.openSteps();
    const jobs = open.flatMap(({ id, steps }) =>
      jobsOf(id, steps, ({ kind, about }, step) => {
        if (step?.kind === 'finish') return `${step.step.kind} ${step.step.name}`.trim();
        return `${CALLED[kind]} ${kind === 'make' ? about : ''}`.trim();
      }),
    );
    return { batches: open.map(({ id, name, dueOn }) => ({ id, name, dueOn })), jobs };
  }

  async save(changeId: string, dto: DaysRuleDto): Promise<DaysRuleDto> {
    await this.journal.change(changeId, async (draft) => {
      const stored = await draft.find('dayRule', ID);
      await checkVersion('The free hours', stored?.version, dto.version, () => this.rule());
      const { weekdays, exceptions, moves, done } = dto;
      await draft.put('dayRule', { id: ID, weekdays, exceptions, moves, done, version: draft.version });
      draft.summary = 'changed the days';
    });
    return this.rule();
  }
}
