import { seeded } from '#core/units';
import type { Network } from './network.js';
import { better, orderBy, pressingOf, schedule, type Scheduled } from './schedule.js';

/** Orders that are tried: fewer where there are many jobs. */
const [MOST_TRIES, WORK] = [400, 20_000];
/** How far the press of a job is moved at random, in turn: shares of the longest way. */
const SHAKEN: readonly number[] = [0.2, 0.5, 1.2];
/** Share of the jobs whose press is moved. */
const MOVED = 0.5;

/** Up to so many jobs every order is tried. */
const EVERY = 7;

/** Every order in which no job comes before what it rests on. */
function* everyOrder({ before }: Pick<Network, 'before'>, done: readonly number[] = []): Generator<readonly number[]> {
  if (done.length === before.length) yield done;
  for (let i = 0; i < before.length; i++) {
    const open = !done.includes(i) && (before[i] ?? []).every((e) => done.includes(e.from));
    if (open) yield* everyOrder({ before }, [...done, i]);
  }
}

function bestOfEvery(network: Network): Scheduled | null {
  let best: Scheduled | null = null;
  for (const order of everyOrder(network)) {
    const other = schedule(network, order);
    if (!best || better(other, best)) best = other;
  }
  return best;
}

/**
 * The best of many orders: of few jobs every order; otherwise that of the priority rule, and orders near to the best
 * one so far, each with the press of some jobs moved at random (the same ones each time).
 * @param tries 0: the priority rule alone, as quick as can be
 */
export function bestSchedule(network: Network, tries = triesFor(network)): Scheduled {
  if (tries > 0 && network.jobs.length <= EVERY) {
    const best = bestOfEvery(network);
    if (best) return best;
  }
  return nearTheRule(network, tries);
}

function nearTheRule(network: Network, tries: number): Scheduled {
  const rule = pressingOf(network);
  const press = network.jobs.map((_, i) => rule(i));
  const range = Math.max(...press, 0) - Math.min(...press, 0) || 1;
  const chance = seeded(network.jobs.length + 1);
  let best = schedule(
    network,
    orderBy(network, (i) => press[i] as number),
  );
  for (let t = 0; t < tries; t++) {
    const far = 2 * range * (SHAKEN[t % SHAKEN.length] as number);
    const shaken = press.map((value) => (chance() < MOVED ? value + (chance() - 0.5) * far : value));
    const other = schedule(
      network,
      orderBy(network, (i) => shaken[i] as number),
    );
    if (!better(other, best)) continue;
    best = other;
    shaken.forEach((value, i) => {
      press[i] = value;
    });
  }
  return best;
}

const triesFor = ({ jobs }: Network): number =>
  Math.min(MOST_TRIES, Math.floor(WORK / Math.max(1, jobs.length ** 1.3)));
