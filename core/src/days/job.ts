import type { Minutes } from '#core/units';

/** Minutes since a moment that all times of a plan are counted from; summer time is worked out by who asks. */
export type Instant = number;

/** What one part of a job needs: the one pair of hands, or the one oven with somebody near. */
export interface Phase {
  readonly need: 'hands' | 'oven';
  readonly minutes: Minutes;
}

/** Work of one batch that is done in one go, or, divided between its pieces, in several. */
export interface Job {
  readonly id: string;
  readonly batchId: string;
  readonly name: string;
  /** in their order, without a pause between them */
  readonly phases: readonly Phase[];
  /** minutes of one piece: it can be laid aside between two of them; null: it is done in one go */
  readonly unit: Minutes | null;
  /** minutes it is left alone afterwards, before what comes after it */
  readonly waits: Minutes;
  /** ids of the jobs that come before it */
  readonly after: readonly string[];
}

/** A batch with the moment it has to be ready; null: there is no hurry. */
export interface DueBatch {
  readonly id: string;
  readonly name: string;
  readonly due: Instant | null;
}

/** A stretch of free time. */
export interface Window {
  readonly from: Instant;
  readonly to: Instant;
}

/** Somebody put a job there. */
export interface Move {
  readonly jobId: string;
  readonly at: Instant;
}

/** Everything that a plan of days is made of. */
export interface DaysProblem {
  readonly now: Instant;
  readonly batches: readonly DueBatch[];
  readonly jobs: readonly Job[];
  /** in their order, without overlaps */
  readonly windows: readonly Window[];
  readonly moves: readonly Move[];
}

/** A part of a job in its time. */
export interface Slot {
  readonly jobId: string;
  readonly need: Phase['need'];
  readonly from: Instant;
  readonly to: Instant;
}

export const lengthOf = ({ phases }: Pick<Job, 'phases'>): Minutes => phases.reduce((sum, p) => sum + p.minutes, 0);
export const handsOf = ({ phases }: Pick<Job, 'phases'>): Minutes =>
  phases.reduce((sum, p) => sum + (p.need === 'hands' ? p.minutes : 0), 0);
