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
 * What one piece of a kind costs: clay and findings of all of them, spares too, over those that are to be sold; hours
 * at one's rate; and a share of it all for everything else.
 */
export function costOf(kind: CostedKind, minutes: Minutes, { hourly, overhead }: Rates): PieceCost {
  const each = (value: number | null): number | null => (value === null ? null : value / kind.count);
  const [clay, findings, own] = [each(kind.clay), each(kind.findings), minutes / kind.count];
  const hours = hourly === null ? null : (own / 60) * hourly;
  const before = sumKnown([clay, findings, hours]);
  const share = before === null ? null : before * overhead;
  return { id: kind.id, clay, findings, minutes: own, hours, overhead: share, total: sumKnown([before, share]) };
}

/**
 * What a price leaves for an hour by hand, once clay, findings and the share of everything else are paid.
 * @returns null where a cost is not known, or no hand is needed
 */
export function leftByTheHour(price: number, { clay, findings, minutes }: PieceCost, overhead: number): number | null {
  const paid = sumKnown([clay, findings]);
  if (paid === null || !(minutes > 0)) return null;
  // the share is taken of hours too: price = (paid + hours)(1 + share)
  return ((price / (1 + overhead) - paid) * 60) / minutes;
}
