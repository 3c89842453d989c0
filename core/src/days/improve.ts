import { seeded } from '#core/units';
import type { Network } from './network.js';
import { better, orderBy, pressingOf, schedule, type Scheduled } from './schedule.js';

/** Orders that are tried: fewer where there are many jobs. */
const [MOST_TRIES, WORK] = [400, 20_000];
/** How far the press of a job is moved at random, in turn: shares of the longest way. */
const SHAKEN: readonly number[] = [0.2, 0.5, 1.2];
/** Share of the jobs whose press is moved. */
const MOVED = 0.5;

/**
 * The best of many orders: that of the priority rule, and orders near to the best one so far, each with the press of
 * some jobs moved at random (the same ones each time).
 */
export function bestSchedule(network: Network, tries = triesFor(network)): Scheduled {
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
