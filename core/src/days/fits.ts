import type { Minutes } from '#core/units';
import { handsOf, lengthOf, type Job } from './job.js';
import type { DaysPlan, PlannedJob } from './plan.js';

/** Something that can be done in the minutes there are. */
export interface Fitting {
  readonly job: Job;
  /** by hand, of it that fits */
  readonly minutes: Minutes;
  /** all of it; otherwise some pieces */
  readonly whole: boolean;
}

/** Whether nothing has to be done before it any more. */
function isOpen({ job }: PlannedJob, jobs: ReadonlySet<string>): boolean {
  return job.after.every((id) => !jobs.has(id));
}

function fitting({ job }: PlannedJob, minutes: Minutes): Fitting | null {
  if (lengthOf(job) <= minutes) return { job, minutes: handsOf(job), whole: true };
  if (job.unit === null || job.unit > minutes) return null;
  return { job, minutes: Math.floor(minutes / job.unit) * job.unit, whole: false };
}

/**
 * What can be done in so many minutes from now: work that rests on nothing undone, what presses most first; with the
 * oven only what is baked by then.
 * @param resting ids of jobs after which something is still left alone
 */
export function whatFits(
  { jobs }: DaysPlan,
  minutes: Minutes,
  resting: ReadonlySet<string> = new Set(),
): readonly Fitting[] {
  const undone = new Set([...jobs.map((j) => j.job.id), ...resting]);
  const open = jobs.filter((j) => lengthOf(j.job) > 0 && isOpen(j, undone));
  const pressing = [...open].sort((a, b) => (a.slack ?? Infinity) - (b.slack ?? Infinity));
  return pressing.map((j) => fitting(j, minutes)).filter((f): f is Fitting => f !== null);
}
