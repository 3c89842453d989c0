import { list, object, part, whole, type AnyPart, type Check, type PartOf } from '#core/cane/document';
import { wholeIn } from './measure.js';
import type { CaneState } from './state.js';

/** So many pieces of another cane. */
export interface Counted<S> {
  readonly part: PartOf<S>;
  readonly count: number;
}
type AnyCounted = { readonly part: AnyPart; readonly count: number };

/** Pieces of one kind, and other kinds, at the most. */
export const MOST_OF_A_KIND = 300;
const MOST_KINDS = 60;

export const countedParts: Check = list(object({ part, count: whole(0, MOST_OF_A_KIND) }), 0, MOST_KINDS);

/** Some other canes with one of them exchanged. */
export const withCounted = (others: readonly AnyCounted[], at: number, part: AnyPart): AnyCounted[] =>
  others.map((o, i) => (i === at ? { ...o, part } : o));

/** All pieces of other canes, kind by kind. @throws Complaint `cane/count` */
export const rodsOf = (others: readonly AnyCounted[], parts: readonly CaneState[]): CaneState[] =>
  others.flatMap((o, k) =>
    Array.from({ length: wholeIn(o.count, 'The number of rods', 0, MOST_OF_A_KIND) }, () => parts[k] as CaneState),
  );

/** Numbers of kinds, so many of each, spread as evenly as they go. */
export function spreadEvenly(counts: readonly number[]): number[] {
  const whole = counts.reduce((sum, n) => sum + n, 0);
  const laid = counts.map(() => 0);
  return Array.from({ length: whole }, (_, i) => {
    const owed = counts.map((n, k) => (n * (i + 1)) / whole - (laid[k] as number));
    const next = owed.indexOf(Math.max(...owed));
    laid[next]! += 1;
    return next;
  });
}
