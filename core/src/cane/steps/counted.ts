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
export const [MOST_OF_A_KIND, MOST_KINDS] = [300, 60];

export const countedParts: Check = list(object({ part, count: whole(0, MOST_OF_A_KIND) }), 0, MOST_KINDS);

/** Some other canes with one of them exchanged. */
export const withCounted = (others: readonly AnyCounted[], at: number, part: AnyPart): AnyCounted[] =>
  others.map((o, i) => (i === at ? { ...o, part } : o));

/** All pieces of other canes, kind by kind. @throws Complaint `cane/count` */
export const rodsOf = (others: readonly AnyCounted[], parts: readonly CaneState[]): CaneState[] =>
  others.flatMap((o, k) =>
    Array.from({ length: wholeIn(o.count, 'The number of rods', 0, MOST_OF_A_KIND) }, () => parts[k] as CaneState),
  );

/** Numbers of kinds, so many of each, spread evenly: the first among all others, those in the same way. */
export function spreadEvenly(counts: readonly number[]): number[] {
  const [own = 0, ...more] = counts;
  if (more.length === 0) return Array.from({ length: own }, () => 0);
  const others = spreadEvenly(more).map((k) => k + 1);
  const whole = own + others.length;
  let laid = 0;
  return Array.from({ length: whole }, (_, i) => {
    const owed = (own * (i + 1)) / whole - laid;
    const owedOthers = (others.length * (i + 1)) / whole - (i - laid);
    if (owed < owedOthers) return others[i - laid] as number;
    laid += 1;
    return 0;
  });
}
