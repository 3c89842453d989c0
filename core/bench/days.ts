import { networkIn, orderBy, planDays, schedule, type DaysProblem, type Job, type Window } from '#core/days';
import { seeded } from '#core/units';
import { median, type Table } from './measure.js';

const DAY = 1440;
const [BATCHES, STEPS] = [60, 25];
/** Small cases, and the most orders of one that are tried. */
const [CASES, ORDERS] = [500, 5000];

const evenings = (days: number, hours: number): Window[] =>
  Array.from({ length: days }, (_, d) => ({ from: d * DAY + 1080, to: d * DAY + 1080 + 60 * hours }));

/** Jobs by chance: each after some of those before it, some with the oven, some with a wait. */
function jobsOf(batchId: string, count: number, chance: () => number, chained: boolean): Job[] {
  const pick = (n: number): number => Math.floor(chance() * n);
  return Array.from({ length: count }, (_, i): Job => {
    const oven = pick(4) === 0 ? 30 + 10 * pick(4) : 0;
    const hands = { need: 'hands', minutes: 5 + pick(40) } as const;
    const before = Array.from({ length: i }, (__, k) => `${batchId} ${k}`);
    return {
      ...{ id: `${batchId} ${i}`, batchId, name: `${i}`, unit: oven === 0 && pick(2) === 0 ? 5 : null },
      phases: oven > 0 ? [hands, { need: 'oven', minutes: oven }] : [hands],
      waits: pick(5) === 0 ? 60 * pick(24) : 0,
      after: chained ? before.slice(-1) : before.filter(() => chance() < 0.35),
    };
  });
}

function manyBatches(): DaysProblem {
  const chance = seeded(11);
  const ids = Array.from({ length: BATCHES }, (_, i) => `b${i}`);
  return {
    now: 0,
    jobs: ids.flatMap((id) => jobsOf(id, STEPS, chance, true)),
    batches: ids.map((id, i) => ({ id, name: id, due: (60 + 3 * i) * DAY })),
    windows: evenings(260, 4),
    moves: [],
  };
}

/** The best end of every order, up to a limit. */
function bestEnd(problem: DaysProblem): number {
  const network = networkIn(problem);
  let [best, tried] = [Infinity, 0];
  const go = (done: number[]): void => {
    if (tried > ORDERS) return;
    if (done.length === network.jobs.length) {
      tried += 1;
      best = Math.min(best, schedule(network, done).end);
      return;
    }
    network.before.forEach((edges, i) => {
      if (!done.includes(i) && edges.every((e) => done.includes(e.from))) go([...done, i]);
    });
  };
  go([]);
  return best;
}

function againstTheBest(): { readonly planned: number[]; readonly ruled: number[] } {
  const [planned, ruled]: [number[], number[]] = [[], []];
  for (let seed = 1; seed <= CASES; seed++) {
    const chance = seeded(seed);
    const jobs = jobsOf('b', 3 + Math.floor(chance() * 4), chance, false).map((j) => ({ ...j, unit: null }));
    const problem: DaysProblem = {
      ...{ now: 0, jobs, windows: evenings(14, 4), moves: [] },
      batches: [{ id: 'b', name: 'b', due: null }],
    };
    const best = bestEnd(problem) - 1080;
    const end = Math.max(...planDays(problem).jobs.map((j) => j.slots.at(-1)?.to ?? 0)) - 1080;
    const network = networkIn(problem);
    planned.push(end / best);
    ruled.push(
      (schedule(
        network,
        orderBy(network, (i) => i),
      ).end -
        1080) /
        best,
    );
  }
  return { planned, ruled };
}

const ROUNDS = 5;

/**
 * How long plans of days take, and how near they are to the best of every order.
 * @param clock milliseconds, rising
 */
export function days(clock: () => number): Table {
  const timed = (work: () => unknown): number => {
    work();
    return median(
      Array.from({ length: ROUNDS }, () => {
        const start = clock();
        work();
        return clock() - start;
      }),
    );
  };
  const problem = manyBatches();
  const plan = timed(() => planDays(problem));
  const first = problem.jobs[7]?.id ?? '';
  const dragged = timed(() => planDays({ ...problem, moves: [{ jobId: first, at: 5 * DAY + 1100 }] }, 0));
  const { planned, ruled } = againstTheBest();
  const most = Math.max(...planned);
  return {
    title: `Days: ${BATCHES} batches with ${BATCHES * STEPS} steps, and ${CASES} small cases against every order`,
    figures: [
      { what: 'planned', value: plan, unit: 'ms', goal: '< 300', met: plan < 300 },
      { what: 'planned anew while one is dragged', value: dragged, unit: 'ms', goal: '< 50', met: dragged < 50 },
      { what: 'end against the best, the worst case', value: most, unit: 'times', goal: '< 1.05', met: most < 1.05 },
      { what: 'the same in the order they were said', value: Math.max(...ruled), unit: 'times' },
      { what: 'the same, median', value: median(ruled), unit: 'times' },
    ],
  };
}
