import type { Minutes } from '#core/units';
import { bestSchedule } from './improve.js';
import { lengthOf, type DaysProblem, type Instant, type Job, type Slot } from './job.js';
import { edgesOf, networkOf, reversed, type Network } from './network.js';
import { orderBy, pressingOf, schedule, type Scheduled } from './schedule.js';

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

/** Some of the jobs of a network, by their numbers, with what lies between them. */
function only({ jobs, before, ...rest }: Network, numbers: readonly number[]): Network {
  const at = new Map(numbers.map((n, i) => [n, i]));
  const edges = before.flat().flatMap(({ from, to, lag }) => {
    const [a, b] = [at.get(from), at.get(to)];
    return a === undefined || b === undefined ? [] : [{ from: a, to: b, lag }];
  });
  return networkOf(
    numbers.map((n) => jobs[n] as Job),
    edges,
    {
      windows: rest.windows,
      release: numbers.map((n) => rest.release[n] as number),
      deadline: numbers.map((n) => rest.deadline[n] as number),
      pinned: new Map([...rest.pinned].flatMap(([n, at_]) => (at.has(n) ? [[at.get(n) as number, at_] as const] : []))),
    },
  );
}

/** Jobs that have to be ready by a day, and all that they rest on. */
function pressed({ jobs, before, deadline }: Network): number[] {
  const found = new Set<number>();
  const add = (i: number): void => {
    if (found.has(i)) return;
    found.add(i);
    for (const { from } of before[i] ?? []) add(from);
  };
  jobs.forEach((_, i) => {
    if (Number.isFinite(deadline[i])) add(i);
  });
  return [...found].sort((a, b) => a - b);
}

/** When each job may begin at the earliest, where some of what it rests on has its time already. */
const releasedBy = ({ release, before }: Network, slots: readonly (readonly Slot[] | null)[]): Instant[] =>
  release.map((time, i) =>
    (before[i] ?? []).reduce((most, { from, lag }) => {
      const last = slots[from]?.at(-1);
      return last ? Math.max(most, last.to + lag) : most;
    }, time),
  );

/**
 * As late as may be: the network with time running backwards, from each batch's own day. What is for no day is done
 * in between, as early as the rest lets it.
 */
function asLateAsMayBe(network: Network, tries?: number): Scheduled {
  const hurried = pressed(network);
  const among = new Set(hurried);
  const others = network.jobs.map((_, i) => i).filter((i) => !among.has(i));
  const far = Math.max(...network.windows.map((w) => w.to), 0);
  const bounded = { ...network, deadline: network.deadline.map((d) => Math.min(d, far)) };
  const late = bestSchedule(reversed(only(bounded, hurried)), tries);
  const slots = new Array<readonly Slot[] | null>(network.jobs.length).fill(null);
  late.slots.forEach((own, k) => {
    slots[hurried[k] as number] = own && turned(own);
  });
  if (others.length === 0) return { ...late, slots };
  const rest = only({ ...network, release: releasedBy(network, slots) }, others);
  const taken = slots.flatMap((own) => own ?? []);
  const early = schedule(rest, orderBy(rest, pressingOf(rest)), taken);
  early.slots.forEach((own, k) => {
    slots[others[k] as number] = own;
  });
  return { ...late, slots, homeless: late.homeless + early.homeless };
}

/** When the jobs of one batch are over, with their waits, and when they begin at the latest. */
interface Outcome {
  ready: Instant;
  begin: Instant;
}

function batchesOf(problem: DaysProblem, slots: Scheduled['slots'], latest: Scheduled['slots'] | null): PlannedBatch[] {
  const outcomes = new Map<string, Outcome>();
  problem.jobs.forEach(({ batchId, waits }, i) => {
    const last = slots[i]?.at(-1);
    const own = { ready: last ? last.to + waits : Infinity, begin: latest?.[i]?.[0]?.from ?? -Infinity };
    const known = outcomes.get(batchId) ?? { ready: -Infinity, begin: Infinity };
    outcomes.set(batchId, { ready: Math.max(known.ready, own.ready), begin: Math.min(known.begin, own.begin) });
  });
  return problem.batches.map(({ id, due }) => {
    const { ready, begin } = outcomes.get(id) ?? { ready: problem.now, begin: -Infinity };
    return {
      batchId: id,
      ready: Number.isFinite(ready) ? ready : null,
      late: due === null ? 0 : Math.max(0, ready - due),
      latest: due !== null && begin >= problem.now ? begin : null,
    };
  });
}

/** Whether all of it has room, nothing is late, and nothing would have had to begin before now. */
const holds = ({ late, homeless }: Scheduled): boolean => homeless === 0 && late < 1e-6;

/**
 * The days until everything is ready. Where it can be, backwards from the days that batches are for, so that one sees
 * how late one may begin; where that is too late, forwards from now, with how late it gets.
 * @param tries orders that are tried; left out: as many as there is time for; 0 while something is dragged
 */
export function planDays(problem: DaysProblem, tries?: number): DaysPlan {
  const network = networkIn(problem);
  const hurry = problem.batches.some((b) => b.due !== null);
  const latest = hurry ? asLateAsMayBe(network, tries) : null;
  const backwards = latest !== null && holds(latest);
  const earliest = backwards ? null : bestSchedule(network, tries);
  const { slots } = backwards ? latest : (earliest as Scheduled);
  const due = new Map(problem.batches.map((b) => [b.id, b.due]));
  const first = firstChances(network);
  const jobs = problem.jobs.map((job, i): PlannedJob => {
    const own = slots[i] ?? [];
    const last = latest?.slots[i]?.[0]?.from;
    const slack = due.get(job.batchId) === null || last === undefined ? null : last - (first[i] as number);
    return { job, slots: own, slack, pinned: network.pinned.has(i) };
  });
  const begin = ({ slots: own }: PlannedJob): Instant => own[0]?.from ?? Infinity;
  return {
    jobs: jobs.sort((a, b) => begin(a) - begin(b)),
    batches: batchesOf(problem, slots, latest && holds(latest) ? latest.slots : null),
    backwards,
  };
}

/** When each job could begin if nothing else were to be done: by what it rests on alone. */
function firstChances(network: Network): readonly Instant[] {
  const first = [...network.release];
  for (const i of orderBy(network, (job) => job))
    for (const { from, lag } of network.before[i] ?? []) {
      const end = (first[from] as number) + lengthOf(network.jobs[from] as Job) + lag;
      first[i] = Math.max(first[i] as number, end);
    }
  return first;
}
