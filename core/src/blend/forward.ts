import type { Grams } from '#core/units';

/** What a plan becomes of what there is. */
export interface Forward {
  /** the plan so many times as large */
  readonly scale: number;
  /** which of the amounts runs out first */
  readonly runsOut: number;
  /** of each */
  readonly left: readonly Grams[];
}

/**
 * A plan as large as what there is makes it: each need is linear in its size, so the scarcest decides.
 * @param needs of each, of the plan as it is; what is not needed at all decides nothing
 * @param has of each, in the same order; null where it takes nothing
 */
export function forward(needs: readonly Grams[], has: readonly Grams[]): Forward | null {
  let [scale, runsOut] = [Infinity, -1];
  needs.forEach((need, i) => {
    const share = need > 0 ? (has[i] ?? 0) / need : Infinity;
    if (share < scale) [scale, runsOut] = [share, i];
  });
  if (runsOut < 0) return null;
  return { scale, runsOut, left: needs.map((need, i) => Math.max(0, (has[i] ?? 0) - need * scale)) };
}
