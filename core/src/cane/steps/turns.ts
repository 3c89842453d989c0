import type { AnyStep, PartOf } from '#core/cane/document';
import { areaOf } from '#core/cane/outlines';
import type { Parts } from './kind.js';
import { stretched } from './pressing.js';
import type { CaneState } from './state.js';

/** Other canes that take turns with the row's own around a joint; each is brought to the area of its pieces first. */
export interface TakingTurns<S> {
  readonly count: number;
  readonly others?: readonly PartOf<S>[];
}
type Turns = AnyStep & TakingTurns<AnyStep>;

/** How many pieces of each there are, the row's own first. */
export function turnUses({ count, others = [] }: TakingTurns<unknown>): number[] {
  const kinds = 1 + others.length;
  return Array.from({ length: kinds }, (_, k) => Math.max(0, Math.ceil((count - k) / kinds)));
}

/** How often a piece of another cane is longer when it is as thick as the row's own. */
const longer = (other: CaneState, before: CaneState | null): number =>
  before ? areaOf(before.outline) / areaOf(other.outline) : 1;

/** The canes that take turns, each as large as the row's own: as much longer as it got thinner. */
export function sameSized(state: CaneState, parts: readonly CaneState[]): CaneState[] {
  const fitted = parts.map((part) => {
    const times = longer(part, state);
    const factor = Math.sqrt(times);
    return { ...stretched(part, factor, factor), length: part.length / times };
  });
  return [state, ...fitted];
}

/** What a step with canes that take turns says of them. */
export const turnParts: Parts<Turns> = {
  of: ({ others = [] }) => others,
  with: (step, at, other) => ({ ...step, others: (step.others ?? []).map((o, i) => (i === at ? other : o)) }),
  counts: (step) => turnUses(step).slice(1),
  longer: (_, other, before) => longer(other, before),
};
