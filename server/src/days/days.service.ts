import { Inject, Injectable } from '@nestjs/common';
import { eq } from 'drizzle-orm';
import { jobsOf, type BatchJob } from '#core/days';
import type { BakedItemDto, DaysAnswer, DaysRuleDto } from '#contract';
import { checkVersion } from '../access/problem.js';
import { BatchesService } from '../batches/batches.service.js';
import { StepTimes } from '../batches/stepTimes.js';
import { DB } from '../db/db.module.js';
import type { Db } from '../db/dataFile.js';
import { Journal, type Draft } from '../db/journal.js';
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

/** Whether all of a load was in the oven; its pieces are taken off those that were, so that they stand for one. */
function taken({ batchId, kind, bakes }: BatchJob, left: BakedItemDto[]): boolean {
  const cores = kind === 'bake cores';
  const own = bakes.map(({ id, count }) => ({
    count,
    item: left.find((i) => i.batchId === batchId && i.cores === cores && i.pieceId === id && i.count >= count),
  }));
  if (own.length === 0 || own.some(({ item }) => item === undefined)) return false;
  for (const { item, count } of own) if (item) item.count -= count;
  return true;
}

const nameOf: Parameters<typeof jobsOf>[2] = ({ kind, about }, step) => {
  if (step?.kind === 'finish') return `${step.step.kind} ${step.step.name}`.trim();
  return `${CALLED[kind]} ${kind === 'make' ? about : ''}`.trim();
};

/** When what is made: the free hours, and the jobs of all open batches. */
@Injectable()
export class DaysService {
  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Journal) private readonly journal: Journal,
    @Inject(BatchesService) private readonly batches: BatchesService,
    @Inject(StepTimes) private readonly times: StepTimes,
  ) {}

  async rule(): Promise<DaysRuleDto> {
    const [row] = await this.db.select().from(dayRules).where(eq(dayRules.id, ID));
    if (!row) return FIRST;
    const { id: _, ...rule } = row;
    return rule;
  }

  async all(): Promise<DaysAnswer> {
    const open = await this.batches.openSteps();
    const learned = await this.times.learned();
    const jobs = open.flatMap(({ id, steps }) => jobsOf(id, steps, nameOf, learned));
    return {
      batches: open.map(({ id, name, dueOn }) => ({ id, name, dueOn })),
      jobs,
      learned: [...learned].map(([key, { factor, from }]) => ({ key, factor, from })),
    };
  }

  /** Marks the loads of open batches as done that some pieces in the oven were. */
  async markBaked(draft: Draft, items: readonly BakedItemDto[], now: number): Promise<void> {
    const batches = new Set(items.map(({ batchId }) => batchId));
    const { jobs } = await this.all();
    const rule = await this.rule();
    const known = new Set(rule.done.map(({ jobId }) => jobId));
    const left = items.map((item) => ({ ...item }));
    const baked = jobs.filter((job) => batches.has(job.batchId) && !known.has(job.id) && taken(job, left));
    if (baked.length === 0) return;
    const done = [...rule.done, ...baked.map(({ id: jobId }) => ({ jobId, at: now }))];
    await draft.put('dayRule', { ...rule, id: ID, done, version: draft.version });
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
