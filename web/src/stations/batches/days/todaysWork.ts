import type { Instant, Job, PlannedJob } from '#core/days';
import { isoOf as dayOf } from './clock.js';

/** One stretch of work in a day. */
export interface DaysWork {
  readonly job: Job;
  readonly batchName: string;
  readonly from: Instant;
  readonly to: Instant;
  readonly oven: boolean;
}

/** What is planned for the day of a moment, by the clock; where that is nothing, for the next day with work. */
export function workOn(
  jobs: readonly PlannedJob[],
  batches: readonly { readonly id: string; readonly name: string }[],
  now: Instant,
): { readonly today: boolean; readonly on: Instant; readonly work: readonly DaysWork[] } {
  const all = jobs
    .flatMap(({ job, slots }) =>
      slots.map(({ from, to, need }): DaysWork => ({
        ...{ job, from, to, oven: need === 'oven' },
        batchName: batches.find((b) => b.id === job.batchId)?.name ?? '',
      })),
    )
    .filter(({ to }) => to > now)
    .sort((a, b) => a.from - b.from);
  const on = all[0]?.from ?? now;
  const day = dayOf(on);
  return { today: day === dayOf(now), on, work: all.filter(({ from }) => dayOf(from) === day) };
}
