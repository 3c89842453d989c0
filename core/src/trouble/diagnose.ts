import type { Cause } from './cause.js';
import { CAUSES, type Symptom } from './causes.js';
import type { TroubleFacts } from './facts.js';

/** A cause as it fits a piece. */
export interface Fitting {
  readonly cause: Cause;
  /** how likely it is among all causes of the symptom, 0 to 1 */
  readonly share: number;
  /** what of this piece speaks for it, the strongest first */
  readonly because: readonly string[];
}

/**
 * Causes that fit a piece, the likeliest first: how often each is, times how much each fact speaks for it (Bayes'
 * rule with facts taken to be independent).
 */
export function causesFor(symptom: Symptom, facts: TroubleFacts): readonly Fitting[] {
  const weighed = CAUSES[symptom].map((cause: Cause) => {
    const spoken = cause.speaks(facts);
    const weight = spoken.reduce((product, { times }) => product * times, cause.prior);
    const strongest = [...spoken].sort((a, b) => b.times - a.times);
    return { cause, weight, because: strongest.flatMap(({ because }) => because ?? []) };
  });
  const all = weighed.reduce((sum, { weight }) => sum + weight, 0);
  return weighed
    .map(({ cause, weight, because }) => ({ cause, share: weight / all, because }))
    .sort((a, b) => b.share - a.share);
}
