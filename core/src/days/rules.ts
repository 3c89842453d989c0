import { lengthOf, type DaysProblem, type Slot } from './job.js';
import type { PlannedJob } from './plan.js';

/** What a plan breaks: nothing, unless somebody put a job where it cannot be. */
export interface Broken {
  readonly jobId: string;
  readonly rule: 'order' | 'hands' | 'oven' | 'free hours' | 'length' | 'before now';
  /** the job it is in the way of */
  readonly other: string | null;
}

const HAIR = 1e-3;
const clashes = (a: Slot, b: Slot): boolean => a.from < b.to - HAIR && b.from < a.to - HAIR;

/** Slots that need the same at the same time. */
function doubled(slots: readonly Slot[]): Broken[] {
  const found: Broken[] = [];
  for (const need of ['hands', 'oven'] as const) {
    const own = slots.filter((s) => s.need === need && s.to > s.from).sort((a, b) => a.from - b.from);
    own.slice(1).forEach((slot, i) => {
      const before = own[i] as Slot;
      if (clashes(before, slot)) found.push({ jobId: slot.jobId, rule: need, other: before.jobId });
    });
  }
  return found;
}

function beforeItsTime({ job, slots }: PlannedJob, byId: ReadonlyMap<string, PlannedJob>): Broken[] {
  const [first] = slots;
  if (!first) return [];
  return job.after.flatMap((id): Broken[] => {
    const before = byId.get(id);
    const last = before?.slots.at(-1);
    if (!before || !last || first.from >= last.to + before.job.waits - HAIR) return [];
    return [{ jobId: job.id, rule: 'order', other: id }];
  });
}

function outside({ job, slots }: PlannedJob, { windows, now }: DaysProblem): Broken[] {
  const broken: Broken[] = [];
  const at = { jobId: job.id, other: null };
  const taken = slots.reduce((sum, s) => sum + s.to - s.from, 0);
  if (slots.length > 0 && Math.abs(taken - lengthOf(job)) > HAIR) broken.push({ ...at, rule: 'length' });
  if (slots.some((s) => s.from < now - HAIR)) broken.push({ ...at, rule: 'before now' });
  const within = (s: Slot): boolean => windows.some((w) => w.from <= s.from + HAIR && s.to <= w.to + HAIR);
  if (slots.some((s) => s.to > s.from && !within(s))) broken.push({ ...at, rule: 'free hours' });
  return broken;
}

/** Every rule that a plan breaks: order with its waits, one pair of hands, one oven, free hours. */
export function brokenRules(jobs: readonly PlannedJob[], problem: DaysProblem): Broken[] {
  const byId = new Map(jobs.map((j) => [j.job.id, j]));
  return [
    ...doubled(jobs.flatMap((j) => j.slots)),
    ...jobs.flatMap((j) => [...beforeItsTime(j, byId), ...outside(j, problem)]),
  ];
}
