import type { Minutes } from '#core/units';
import { bestSchedule } from './improve.js';
import { lengthOf, type DaysProblem, type Instant, type Job, type Slot } from './job.js';
import { edgesOf, networkOf, reversed, type Network } from './network.js';
import type { Scheduled } from './schedule.js';

/** A job in its time; divided ones have several slots. */
export interface PlannedJob {
  readonly job: Job;
  /** none: there is no room for it in the free hours that were said */
  readonly slots: readonly Slot[];
  /** minutes that it could begin later without anything being late; null where nothing presses */
  readonly slack: Minutes | null;
  readonly pinned: boolean;
}

/** How a batch comes out. */
export interface PlannedBatch {
  readonly batchId: string;
  /** when it is ready, its last waiting over; null: never in these hours */
  readonly ready: Instant | null;
  /** minutes that it is late; 0: it is not */
  readonly late: Minutes;
  /** when it has to be begun at the latest; null where that is past, or nothing presses */
  readonly latest: Instant | null;
}

export interface DaysPlan {
  /** in the order of their beginnings */
  readonly jobs: readonly PlannedJob[];
  readonly batches: readonly PlannedBatch[];
  /** as late as may be; otherwise as early as can be, since it is late or nothing presses */
  readonly backwards: boolean;
}

/** Far enough away that nothing is late. */
const NEVER = Infinity;

/** The problem as a network, in the direction of time. */
export function networkIn({ now, jobs, windows, batches, moves }: DaysProblem): Network {
  const due = new Map(batches.map((b) => [b.id, b.due]));
  const number = new Map(jobs.map((job, i) => [job.id, i]));
  const pinned = new Map<number, Instant>();
  for (const { jobId, at } of moves) {
    const i = number.get(jobId);
    // what somebody put into the past is planned anew
    if (i !== undefined && at >= now) pinned.set(i, at);
  }
  const left = windows.filter((w) => w.to > now).map((w) => ({ from: Math.max(now, w.from), to: w.to }));
  return networkOf(jobs, edgesOf(jobs), {
    windows: left,
    release: jobs.map(() => now),
    deadline: jobs.map(({ batchId, waits }) => (due.get(batchId) ?? NEVER) - waits),
    pinned,
  });
}

const turned = (slots: readonly Slot[]): Slot[] => slots.map((s) => ({ ...s, from: -s.to, to: -s.from })).reverse();

/** As late as may be: the network with time running backwards, from each batch's own day. */
function asLateAsMayBe(network: Network): Scheduled {
  const far = Math.max(...network.windows.map((w) => w.to), 0);
  // without a day there is no end to work back from: the last free hour
  const bounded = { ...network, deadline: network.deadline.map((d) => Math.min(d, far)) };
  const found = bestSchedule(reversed(bounded));
  return { ...found, slots: found.slots.map((own) => own && turned(own)) };
}

function batchesOf(problem: DaysProblem, slots: Scheduled['slots'], latest: Scheduled['slots'] | null): PlannedBatch[] {
  return problem.batches.map(({ id, due }) => {
    const own = problem.jobs.flatMap((job, i) =>
      job.batchId === id ? [{ job, slots: slots[i], late: latest?.[i] }] : [],
    );
    const ends = own.map((o) => (o.slots?.length ? (o.slots.at(-1) as Slot).to + o.job.waits : Infinity));
    const end = ends.length === 0 ? problem.now : Math.max(...ends);
    const ready = Number.isFinite(end) ? end : null;
    const starts = own.map((o) => o.late?.[0]?.from ?? -Infinity);
    const begin = starts.length === 0 ? -Infinity : Math.min(...starts);
    return {
      batchId: id,
      ready,
      late: due === null ? 0 : Math.max(0, (ready ?? Infinity) - due),
      latest: due !== null && begin >= problem.now ? begin : null,
    };
  });
}

/** Whether all of it has room, nothing is late, and nothing would have had to begin before now. */
const holds = ({ late, homeless }: Scheduled): boolean => homeless === 0 && late < 1e-6;

/**
 * The days until everything is ready. Where it can be, backwards from the days that batches are for, so that one sees
 * how late one may begin; where that is too late, forwards from now, with how late it gets.
 */
export function planDays(problem: DaysProblem): DaysPlan {
  const network = networkIn(problem);
  const pressed = problem.batches.some((b) => b.due !== null);
  const latest = pressed ? asLateAsMayBe(network) : null;
  const backwards = latest !== null && holds(latest);
  const earliest = backwards ? null : bestSchedule(network);
  const { slots } = backwards ? latest : (earliest as Scheduled);
  const due = new Map(problem.batches.map((b) => [b.id, b.due]));
  const jobs = problem.jobs.map((job, i): PlannedJob => {
    const own = slots[i] ?? [];
    const last = latest?.slots[i]?.[0]?.from;
    const slack = due.get(job.batchId) === null || last === undefined ? null : last - firstChance(network, i);
    return { job, slots: own, slack, pinned: network.pinned.has(i) };
  });
  const begin = ({ slots: own }: PlannedJob): Instant => own[0]?.from ?? Infinity;
  return {
    jobs: jobs.sort((a, b) => begin(a) - begin(b)),
    batches: batchesOf(problem, slots, latest && holds(latest) ? latest.slots : null),
    backwards,
  };
}

/** When a job could begin if nothing else were to be done: by what it rests on alone. */
function firstChance(network: Network, i: number, seen = new Set<number>()): Instant {
  if (seen.has(i)) return network.release[i] as number;
  const deeper = new Set(seen).add(i);
  return (network.before[i] ?? []).reduce(
    (most, { from, lag }) =>
      Math.max(most, firstChance(network, from, deeper) + lengthOf(network.jobs[from] as Job) + lag),
    network.release[i] as number,
  );
}
