import type { Block } from '#core/clay';
import type { Grams } from '#core/units';
import { againstShelf, type AgainstShelf } from './shelf.js';

/** A plan that is not done, and what clay it takes. */
export interface OpenPlan {
  readonly id: string;
  readonly name: string;
  readonly clays: readonly { readonly clayId: string; readonly grams: Grams }[];
}

/** One clay over all open plans, against the shelf. */
export interface Wanted extends AgainstShelf {
  readonly clayId: string;
  readonly grams: Grams;
  /** the plans that want it, most first */
  readonly plans: readonly { readonly id: string; readonly name: string; readonly grams: Grams }[];
}

/**
 * What all open plans take together: each alone may have enough on the shelf, and all of them may not.
 * @param blocks of all clays @returns each clay once, the shortest first
 */
export function wantedBy(plans: readonly OpenPlan[], blocks: readonly Block[]): Wanted[] {
  const byClay = new Map<string, { id: string; name: string; grams: Grams }[]>();
  for (const { id, name, clays } of plans)
    for (const { clayId, grams } of clays) byClay.set(clayId, [...(byClay.get(clayId) ?? []), { id, name, grams }]);
  return [...byClay]
    .map(([clayId, wanting]): Wanted => {
      const grams = wanting.reduce((sum, w) => sum + w.grams, 0);
      const own = blocks.filter((b) => b.clayId === clayId);
      const most = [...wanting].sort((a, b) => b.grams - a.grams);
      return { clayId, grams, plans: most, ...againstShelf(own, grams) };
    })
    .sort((a, b) => b.short - a.short || b.grams - a.grams);
}
