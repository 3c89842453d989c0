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

/** Days with work from a moment on, in their order, each with its work by the clock. */
export function workByDay(
  jobs: readonly PlannedJob[],
  batches: readonly { readonly id: string; readonly name: string }[],
  now: Instant,
): { readonly on: Instant; readonly work: readonly DaysWork[] }[] {
  const all = jobs
    .flatMap(({ job, slots }) =>
      slots.map(({ from, to, need }): DaysWork => ({
        ...{ job, from, to, oven: need === 'oven' },
        batchName: batches.find((b) => b.id === job.batchId)?.name ?? '',
      })),
    )
    .filter(({ to }) => to > now)
    .sort((a, b) => a.from - b.from);
  const days = [...new Set(all.map(({ from }) => dayOf(from)))];
  return days.map((day) => {
    const work = all.filter(({ from }) => dayOf(from) === day);
    return { on: work[0]?.from ?? now, work };
  });
}

/** What is planned for the day of a moment, by the clock; where that is nothing, for the next day with work. */
export function workOn(
  jobs: readonly PlannedJob[],
  batches: readonly { readonly id: string; readonly name: string }[],
  now: Instant,
): { readonly today: boolean; readonly on: Instant; readonly work: readonly DaysWork[] } {
  const [next] = workByDay(jobs, batches, now);
  const { on, work } = next ?? { on: now, work: [] };
  return { today: dayOf(on) === dayOf(now), on, work };
}
