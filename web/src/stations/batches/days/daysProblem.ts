import { freeWindows, lengthOf, type BatchJob, type DaysProblem, type Instant, type Job, type Move } from '#core/days';
import type { DaysAnswer, DaysRuleDto } from '#contract';
import { daysFrom, momentOn } from './clock.js';

/** What is to be done, and when one is free. */
export interface AllDays extends DaysAnswer {
  readonly rule: DaysRuleDto;
}

/** Days that are planned over at least, beyond the last day that something is for, and at most. */
const [LEAST, BEYOND, MOST] = [28, 21, 400];
/** A batch is ready by eight on its day, for the market: an assumption. */
const READY_BY = 8 * 60;
const DAY = 1440;

/** A job that is done, while something of it is still left alone: it takes no time any more. */
const resting = (job: BatchJob, until: Instant, now: Instant): Job => ({
  ...job,
  phases: [],
  unit: null,
  waits: Math.max(0, until - now),
  after: [],
});

/** All that is planned: what is undone, the free hours of this place, and what was put somewhere by hand. */
export function daysProblem({ rule, batches, jobs }: AllDays, now: Instant, dragged: Move | null): DaysProblem {
  const done = new Map(rule.done.map((d) => [d.jobId, d.at]));
  const due = batches.map(({ id, name, dueOn }) => ({
    ...{ id, name },
    due: dueOn === null ? null : momentOn(dueOn, READY_BY),
  }));
  const last = Math.max(now, ...due.map((b) => b.due ?? now));
  const count = Math.min(MOST, Math.max(LEAST, Math.ceil((last - now) / DAY) + BEYOND));
  const weekdays = rule.weekdays.map((d) => d.hours);
  return {
    now,
    batches: due,
    jobs: jobs.map((job) => {
      const at = done.get(job.id);
      return at === undefined ? job : resting(job, at + job.waits, now);
    }),
    windows: freeWindows({ weekdays, exceptions: rule.exceptions }, daysFrom(now, count), momentOn),
    moves: dragged ? [...rule.moves.filter((m) => m.jobId !== dragged.jobId), dragged] : rule.moves,
  };
}

/** Jobs of a batch that can be left out where time is short. */
export const optionalIn = ({ jobs }: AllDays, batchId: string): ReadonlySet<string> =>
  new Set(jobs.filter((j) => j.batchId === batchId && j.optional && lengthOf(j) > 0).map((j) => j.id));
