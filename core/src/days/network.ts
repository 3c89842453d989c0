import { lengthOf, type Instant, type Job, type Window } from './job.js';
import type { Minutes } from '#core/units';

/** A job comes so many minutes after the end of another one. */
export interface Edge {
  readonly from: number;
  readonly to: number;
  readonly lag: Minutes;
}

/** Jobs by their numbers with what comes before what, in either direction of time. */
export interface Network {
  readonly jobs: readonly Job[];
  /** by the number of the later job */
  readonly before: readonly (readonly Edge[])[];
  /** by the number of the earlier one */
  readonly behind: readonly (readonly Edge[])[];
  readonly windows: readonly Window[];
  /** no job begins before */
  readonly release: readonly Instant[];
  /** when each has to be over, so that nothing is late; infinite where there is no hurry */
  readonly deadline: readonly Instant[];
  /** by number, where somebody put it */
  readonly pinned: ReadonlyMap<number, Instant>;
}

/** Edges sorted by the job at one of their ends. */
const sorted = (count: number, edges: readonly Edge[], end: 'from' | 'to'): Edge[][] => {
  const lists = Array.from({ length: count }, (): Edge[] => []);
  for (const edge of edges) lists[edge[end]]?.push(edge);
  return lists;
};

/** What comes before what. An unknown id is let go: that job is done. */
export function edgesOf(jobs: readonly Job[]): Edge[] {
  const number = new Map(jobs.map((job, i) => [job.id, i]));
  return jobs.flatMap(({ after }, to) =>
    after.flatMap((id): Edge[] => {
      const from = number.get(id);
      return from === undefined ? [] : [{ from, to, lag: jobs[from]?.waits ?? 0 }];
    }),
  );
}

export function networkOf(
  jobs: readonly Job[],
  edges: readonly Edge[],
  rest: Pick<Network, 'windows' | 'release' | 'deadline' | 'pinned'>,
): Network {
  return { jobs, before: sorted(jobs.length, edges, 'to'), behind: sorted(jobs.length, edges, 'from'), ...rest };
}

/** The same work with time running backwards: what was last is first. */
export function reversed(network: Network): Network {
  const jobs = network.jobs.map((job) => ({ ...job, phases: [...job.phases].reverse() }));
  const edges = network.before.flat().map(({ from, to, lag }) => ({ from: to, to: from, lag }));
  return networkOf(jobs, edges, {
    windows: network.windows.map(({ from, to }) => ({ from: -to, to: -from })).reverse(),
    release: network.deadline.map((time) => -time),
    deadline: network.release.map((time) => -time),
    pinned: new Map([...network.pinned].map(([i, at]) => [i, -(at + lengthOf(network.jobs[i] as Job))])),
  });
}

/** Minutes from the beginning of each job to the end of all that rests on it, if there were nothing else to do. */
export function tailsOf({ jobs, behind }: Network): number[] {
  const tails = new Array<number | undefined>(jobs.length);
  const tail = (i: number): number => {
    const known = tails[i];
    if (known !== undefined) return known;
    // a job that rests on itself, by others, ends there
    tails[i] = 0;
    const longest = (behind[i] ?? []).reduce((most, { to, lag }) => Math.max(most, lag + tail(to)), 0);
    const own = lengthOf(jobs[i] as Job) + longest;
    tails[i] = own;
    return own;
  };
  return jobs.map((_, i) => tail(i));
}
