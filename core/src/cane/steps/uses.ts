import { changeOf, isBegin, kindOf, partsOf, type Part, type Step } from './kinds.js';
import { partState } from './run.js';
import type { CaneContext, CaneState } from './state.js';

/**
 * How many pieces of another cane a step takes, each so many times as long as the cane it goes into: it is reduced
 * to fit.
 */
export interface PartUse {
  readonly part: Part;
  readonly state: CaneState;
  readonly count: number;
  readonly longer: number;
}

/** How many pieces of the row lie in one piece after a step. */
export const ownOf = (step: Step): number => (isBegin(step) ? 1 : (changeOf(step).own?.(step) ?? 1));

/** What a step takes of each cane it takes in, worked out. @throws Complaint as `partState` does */
export function usesOf(step: Step, before: CaneState | null, context: CaneContext): readonly PartUse[] {
  const { parts } = kindOf(step);
  const counts = parts?.counts?.(step);
  return partsOf(step)
    .map((part, k): PartUse => {
      const state = partState(part, context);
      return { part, state, count: counts?.[k] ?? 1, longer: parts?.longer?.(step, state, before, k) ?? 1 };
    })
    .filter((use) => use.count > 0);
}
