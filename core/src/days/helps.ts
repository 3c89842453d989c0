import type { Minutes } from '#core/units';
import { handsOf, lengthOf, type DaysProblem, type Instant, type Job } from './job.js';
import { planDays } from './plan.js';

/** One change that gets a batch ready in time. */
export type HelpingChange =
  | { readonly kind: 'fewer'; readonly batchId: string; readonly share: number }
  | { readonly kind: 'without'; readonly batchId: string; readonly jobId: string }
  | { readonly kind: 'hour'; readonly at: Instant; readonly minutes: Minutes }
  | { readonly kind: 'later'; readonly batchId: string; readonly minutes: Minutes };

/** Orders that are tried for each change: dozens of changes are looked at while somebody waits. */
const TRIES = 12;

/** Whether everything of a batch is ready in time then. */
const inTime = (problem: DaysProblem, batchId: string): boolean =>
  planDays(problem, TRIES).batches.every((b) => b.batchId !== batchId || (b.ready !== null && b.late < 1));

/** A batch with a share of its pieces: what is done to each takes less, what is done once does not. */
function withShare(problem: DaysProblem, batchId: string, share: number): DaysProblem {
  const shorter = (job: Job): Job => ({
    ...job,
    phases: job.phases.map((p) => (p.need === 'hands' ? { ...p, minutes: p.minutes * share } : p)),
  });
  const less = (job: Job): Job => (job.batchId === batchId && job.unit !== null ? shorter(job) : job);
  return { ...problem, jobs: problem.jobs.map(less) };
}

/** A batch without one job: what came after it comes after what it rested on. */
function without(problem: DaysProblem, { id, after }: Job): DaysProblem {
  const jobs = problem.jobs
    .filter((j) => j.id !== id)
    .map((j) => (j.after.includes(id) ? { ...j, after: [...j.after.filter((a) => a !== id), ...after] } : j));
  return { ...problem, jobs };
}

/** Shares of its pieces that are tried, the most first. */
const SHARES = [0.9, 0.8, 0.7, 0.6, 0.5, 0.4, 0.3, 0.2, 0.1];
/** Minutes that a day is made longer by. */
const LONGER: readonly Minutes[] = [60, 120];
/** Free stretches that are tried to be longer. */
const STRETCHES = 14;

const fewer = (problem: DaysProblem, batchId: string): HelpingChange[] => {
  const share = SHARES.find((s) => inTime(withShare(problem, batchId, s), batchId));
  return share === undefined ? [] : [{ kind: 'fewer', batchId, share }];
};

/** Leaving one of the steps out that may be left out: the shortest that is enough. */
function leavingOut(problem: DaysProblem, batchId: string, optional: ReadonlySet<string>): HelpingChange[] {
  const own = problem.jobs.filter((j) => j.batchId === batchId && optional.has(j.id));
  const enough = [...own]
    .sort((a, b) => handsOf(a) + a.waits - handsOf(b) - b.waits)
    .find((job) => inTime(without(problem, job), batchId));
  return enough ? [{ kind: 'without', batchId, jobId: enough.id }] : [];
}

/** A free stretch that is longer at its end. */
function anHour(problem: DaysProblem, batchId: string): HelpingChange[] {
  const left = problem.windows.filter((w) => w.to > problem.now).slice(0, STRETCHES);
  for (const minutes of LONGER)
    for (const [i, window] of left.entries()) {
      const next = problem.windows[problem.windows.indexOf(window) + 1];
      const to = Math.min(window.to + minutes, next?.from ?? Infinity);
      const windows = problem.windows.map((w) => (w === window ? { ...w, to } : w));
      if (to - window.to >= minutes && inTime({ ...problem, windows }, batchId))
        return [{ kind: 'hour', at: (left[i] as { to: Instant }).to, minutes }];
    }
  return [];
}

/**
 * Single changes, each of which gets a late batch ready in time: fewer pieces, a step left out, an hour more on one
 * day; and how much later its day would have to be.
 * @param optional ids of jobs that can be left out, as buffing
 */
export function whatHelps(
  problem: DaysProblem,
  batchId: string,
  optional: ReadonlySet<string>,
): readonly HelpingChange[] {
  const late = planDays(problem).batches.find((b) => b.batchId === batchId)?.late ?? 0;
  const later: HelpingChange[] = late > 0 && Number.isFinite(late) ? [{ kind: 'later', batchId, minutes: late }] : [];
  return [...fewer(problem, batchId), ...leavingOut(problem, batchId, optional), ...anHour(problem, batchId), ...later];
}

/** Jobs longer than any free stretch, that cannot be divided: they are said. */
export function tooLong({ jobs, windows }: Pick<DaysProblem, 'jobs' | 'windows'>): readonly Job[] {
  const longest = Math.max(0, ...windows.map((w) => w.to - w.from));
  return jobs.filter((job) => (job.unit ?? lengthOf(job)) > longest + 1e-6);
}
