import { lengthOf, type Instant, type Job, type Slot } from './job.js';
import { tailsOf, type Network } from './network.js';
import { Timeline, slotsFrom } from './timeline.js';

/** Where each job came to lie; null: there is no room for it. */
export interface Scheduled {
  readonly slots: readonly (readonly Slot[] | null)[];
  /** minutes by which all batches together are late */
  readonly late: number;
  readonly end: Instant;
  /** jobs without room */
  readonly homeless: number;
}

/** An order in which jobs are put down: none before one that it rests on, the most pressing first. */
export function orderBy(network: Network, pressing: (job: number) => number): number[] {
  const { jobs, before, behind } = network;
  const waiting = before.map((edges) => edges.length);
  const ready = jobs.map((_, i) => i).filter((i) => waiting[i] === 0);
  const order: number[] = [];
  ready.sort((a, b) => pressing(b) - pressing(a));
  while (ready.length > 0) {
    const next = ready.pop() as number;
    order.push(next);
    for (const { to } of behind[next] ?? []) {
      waiting[to] = (waiting[to] ?? 0) - 1;
      if (waiting[to] !== 0) continue;
      const at = ready.findIndex((i) => pressing(i) < pressing(to));
      ready.splice(at < 0 ? ready.length : at, 0, to);
    }
  }
  return order;
}

/** The priority rule: what has the longest way to go until it is due comes first. */
export function pressingOf(network: Network): (job: number) => number {
  const tails = tailsOf(network);
  const far = Math.max(0, ...network.deadline.filter(Number.isFinite).map(Math.abs)) * 2 + 1e7;
  return (i) => {
    const deadline = network.deadline[i] as number;
    return (Number.isFinite(deadline) ? deadline : far) - (tails[i] as number);
  };
}

/** When a job may begin at the earliest, by what it rests on; null where that has no room. */
function earliestOf(
  network: Network,
  slots: readonly (readonly Slot[] | null | undefined)[],
  i: number,
): Instant | null {
  let earliest = network.release[i] as number;
  for (const { from, lag } of network.before[i] ?? []) {
    const last = slots[from]?.at(-1);
    if (!last) {
      // work of no minutes ends where it may begin
      if (slots[from] === null) return null;
      continue;
    }
    earliest = Math.max(earliest, last.to + lag);
  }
  return earliest;
}

/**
 * Puts jobs down one after the other, each as early as hands, oven and free hours let it (serial schedule generation,
 * R. Kolisch 1996); where somebody put one, it stays.
 * @param taken by other work
 */
export function schedule(network: Network, order: readonly number[], taken: readonly Slot[] = []): Scheduled {
  const timeline = new Timeline(network.windows);
  timeline.taking(taken);
  const slots = new Array<readonly Slot[] | null | undefined>(network.jobs.length);
  for (const [i, at] of network.pinned) slots[i] = timeline.taking(slotsFrom(network.jobs[i] as Job, at));
  for (const i of order) {
    if (slots[i] !== undefined) continue;
    const job = network.jobs[i] as Job;
    const earliest = earliestOf(network, slots, i);
    slots[i] = earliest === null ? null : putDown(timeline, job, earliest);
  }
  return judged(network, slots);
}

const putDown = (timeline: Timeline, job: Job, earliest: Instant): readonly Slot[] | null =>
  lengthOf(job) === 0 ? [{ jobId: job.id, need: 'hands', from: earliest, to: earliest }] : timeline.put(job, earliest);

function judged({ deadline }: Network, placed: readonly (readonly Slot[] | null | undefined)[]): Scheduled {
  let [late, end, homeless] = [0, -Infinity, 0];
  placed.forEach((own, i) => {
    const last = own?.at(-1);
    if (!last) {
      homeless += 1;
      return;
    }
    end = Math.max(end, last.to);
    late += Math.max(0, last.to - (deadline[i] as number));
  });
  return { slots: placed.map((own) => own ?? null), late, end, homeless };
}

/** Whether one plan is better: what has room, what is less late, what ends earlier. */
export function better(a: Scheduled, b: Scheduled): boolean {
  if (a.homeless !== b.homeless) return a.homeless < b.homeless;
  if (Math.abs(a.late - b.late) > 1e-6) return a.late < b.late;
  return a.end < b.end - 1e-6;
}
