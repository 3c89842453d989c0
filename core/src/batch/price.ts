import type { Grams, Minutes } from '#core/units';
import type { BenchStep } from './benchStep.js';
import type { LearnedTimes } from './learnTimes.js';
import { piecesOfStep, timeOf } from './minutes.js';
import { sumKnown } from './sumKnown.js';

/** What an hour of hands is worth, and the share of everything else on top. */
export interface Rates {
  /** null: nobody said */
  readonly hourly: number | null;
  /** 0.1: a tenth on top of clay, findings and hours */
  readonly overhead: number;
}

/** A kind of piece, with what its clay and its findings cost for all of them, spares too. */
export interface CostedKind {
  readonly id: string;
  /** of those that are to be sold */
  readonly count: number;
  /** spares too */
  readonly cut: number;
  readonly grams: Grams;
  /** null: a price is not known */
  readonly clay: number | null;
  readonly findings: number | null;
}

/** What one piece costs. Money is in the person's own currency. */
export interface PieceCost {
  readonly id: string;
  readonly clay: number | null;
  readonly findings: number | null;
  /** by hand, with its share of what is done for all */
  readonly minutes: Minutes;
  /** null: nobody said what an hour is worth */
  readonly hours: number | null;
  /** what those cost that break beyond the spares, shared out to those that are sold */
  readonly losses: number | null;
  /** the same as a share of clay, findings and hours */
  readonly lossShare: number;
  readonly overhead: number | null;
  /** null: something of it is not known */
  readonly total: number | null;
}

/**
 * Minutes by hand for each kind of piece: its own steps, and of what is done for all of them, as conditioning, as
 * large a share as its clay has.
 */
export function minutesByKind(
  steps: readonly BenchStep[],
  kinds: readonly Pick<CostedKind, 'id' | 'grams'>[],
  ownerOf: (pieceId: string) => string,
  learned: LearnedTimes,
): ReadonlyMap<string, Minutes> {
  const all = kinds.reduce((sum, k) => sum + k.grams, 0);
  const minutes = new Map(kinds.map((k) => [k.id, 0]));
  const add = (id: string, more: Minutes): void => {
    minutes.set(id, (minutes.get(id) ?? 0) + more);
  };
  for (const step of steps) {
    const { hands } = timeOf(step, learned);
    const owners = piecesOfStep(step).map(ownerOf);
    if (owners.length > 0)
      owners.forEach((id) => {
        add(id, hands / owners.length);
      });
    else if (all > 0)
      kinds.forEach(({ id, grams }) => {
        add(id, (hands * grams) / all);
      });
  }
  return minutes;
}

/**
 * What has to be made beyond what is sold, as a share of that: pieces break, and spares make up for them.
 * @param breakage the share that breaks, 0 to below 1
 */
function lossShareOf({ count, cut }: Pick<CostedKind, 'count' | 'cut'>, breakage: number): number {
  const whole = Math.min(count, cut * (1 - breakage));
  return count / whole - 1;
}

/**
 * What one piece of a kind costs: clay and findings of all of them, spares too, over those that are to be sold; hours
 * at one's rate; what breaks beyond the spares; and a share of it all for everything else.
 * @param breakage the share that breaks as it was learned; null: nobody counted
 */
export function costOf(
  kind: CostedKind,
  minutes: Minutes,
  { hourly, overhead }: Rates,
  breakage: number | null,
): PieceCost {
  const each = (value: number | null): number | null => (value === null ? null : value / kind.count);
  const [clay, findings, own] = [each(kind.clay), each(kind.findings), minutes / kind.count];
  const hours = hourly === null ? null : (own / 60) * hourly;
  const before = sumKnown([clay, findings, hours]);
  const lossShare = lossShareOf(kind, breakage ?? 0);
  const losses = before === null ? null : before * lossShare;
  const paid = sumKnown([before, losses]);
  const share = paid === null ? null : paid * overhead;
  const total = sumKnown([paid, share]);
  return { id: kind.id, clay, findings, minutes: own, hours, losses, lossShare, overhead: share, total };
}

/**
 * What a price leaves for an hour by hand, once clay, findings, what breaks and the share of everything else are paid.
 * @returns null where a cost is not known, or no hand is needed
 */
export function leftByTheHour(
  price: number,
  { clay, findings, minutes, lossShare }: PieceCost,
  overhead: number,
): number | null {
  const paid = sumKnown([clay, findings]);
  if (paid === null || !(minutes > 0)) return null;
  // the share is taken of hours and losses too: price = (paid + hours)(1 + losses)(1 + share)
  return ((price / ((1 + overhead) * (1 + lossShare)) - paid) * 60) / minutes;
}
