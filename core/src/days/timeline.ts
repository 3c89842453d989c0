import { lengthOf, type Instant, type Job, type Phase, type Slot, type Window } from './job.js';
import type { Minutes } from '#core/units';

/** Times that are taken, in their order. */
type Busy = Window[];

const HAIR = 1e-6;

/** The first stretch that is taken within a time; undefined where none is. */
function clash(busy: Busy, from: Instant, to: Instant): Window | undefined {
  return busy.find((b) => b.from < to - HAIR && b.to > from + HAIR);
}

function take(busy: Busy, from: Instant, to: Instant): void {
  if (to <= from + HAIR) return;
  const at = busy.findIndex((b) => b.from > from);
  busy.splice(at < 0 ? busy.length : at, 0, { from, to });
}

/** Free stretches with what is taken of them: one pair of hands and one oven in each. */
export class Timeline {
  private readonly taken: { readonly window: Window; readonly hands: Busy; readonly oven: Busy }[];
  constructor(windows: readonly Window[]) {
    this.taken = windows.map((window) => ({ window, hands: [], oven: [] }));
  }

  /** The first window that is not over by then. */
  private firstAt(time: Instant): number {
    let [low, high] = [0, this.taken.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((this.taken[middle] as { window: Window }).window.to > time + HAIR) high = middle;
      else low = middle + 1;
    }
    return low;
  }

  /** Puts a job down as early as it can be; null where no free stretch is long enough. */
  put(job: Job, earliest: Instant): readonly Slot[] | null {
    return job.unit === null ? this.putWhole(job, earliest) : this.putDivided(job, earliest, job.unit);
  }

  private putWhole(job: Job, earliest: Instant): readonly Slot[] | null {
    const length = lengthOf(job);
    for (let i = this.firstAt(earliest); i < this.taken.length; i++) {
      const one = this.taken[i] as (typeof this.taken)[number];
      const start = startIn(one, job.phases, Math.max(earliest, one.window.from));
      if (start + length > one.window.to + HAIR) continue;
      return this.taking(slotsFrom(job, start));
    }
    return null;
  }

  /** As many pieces as each free stretch has room for. */
  private putDivided(job: Job, earliest: Instant, unit: Minutes): readonly Slot[] | null {
    let left = lengthOf(job);
    const slots: Slot[] = [];
    for (let i = this.firstAt(earliest); i < this.taken.length && left > HAIR; i++) {
      const { window, hands } = this.taken[i] as (typeof this.taken)[number];
      for (const gap of gapsIn(hands, Math.max(earliest, window.from), window.to)) {
        const room = gap.to - gap.from;
        const wanted = room >= left - HAIR ? left : Math.floor(room / unit + HAIR) * unit;
        if (wanted <= HAIR) continue;
        slots.push({ jobId: job.id, need: 'hands', from: gap.from, to: gap.from + wanted });
        left -= wanted;
        if (left <= HAIR) break;
      }
    }
    return left > HAIR ? null : this.taking(slots);
  }

  /** Takes the time of some slots, free or not: what other work has, or somebody put there. @returns the same */
  taking(slots: readonly Slot[]): readonly Slot[] {
    for (const { need, from, to } of slots) {
      const one = this.taken[this.firstAt(from)];
      if (one) take(one[need], from, to);
    }
    return slots;
  }
}

/** The slots of a job whose phases follow each other from a moment on. */
export function slotsFrom({ id, phases }: Job, start: Instant): Slot[] {
  let from = start;
  return phases
    .map(({ need, minutes }): Slot => {
      const slot = { jobId: id, need, from, to: from + minutes };
      from = slot.to;
      return slot;
    })
    .filter((slot) => slot.to > slot.from);
}

/** The first moment from which all phases are free, one after the other. */
function startIn(
  one: { readonly hands: Busy; readonly oven: Busy },
  phases: readonly Phase[],
  earliest: Instant,
): Instant {
  let start = earliest;
  for (let moved = true; moved;) {
    moved = false;
    let from = start;
    for (const { need, minutes } of phases) {
      const other = minutes > 0 ? clash(one[need], from, from + minutes) : undefined;
      if (other) {
        start += other.to - from;
        moved = true;
        break;
      }
      from += minutes;
    }
  }
  return start;
}

/** What is free between what is taken. */
function gapsIn(busy: Busy, from: Instant, to: Instant): Window[] {
  const gaps: Window[] = [];
  let at = from;
  for (const b of busy) {
    if (b.to <= at) continue;
    if (b.from >= to) break;
    if (b.from > at + HAIR) gaps.push({ from: at, to: b.from });
    at = Math.max(at, b.to);
  }
  if (to > at + HAIR) gaps.push({ from: at, to });
  return gaps;
}
