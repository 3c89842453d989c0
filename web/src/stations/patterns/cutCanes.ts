import { usedIn } from '#core/cane';
import { keyOf } from '#core/material';
import { cutCanesOf, type CutCanes } from '#core/pattern';
import type { CaneCard, CutCaneInside } from '#contract';

/** Canes that slices are cut of, by the keys of their materials; null where none are. */
export const cutCanes = (canes: readonly CutCaneInside[]): CutCanes | null =>
  canes.length === 0 ? null : cutCanesOf(canes);

/** The key of a cane to begin with: the last one of those that are not retired. */
export function newestCane(cards: readonly CaneCard[]): string | undefined {
  const card = cards.findLast((c) => !c.retired);
  return card && keyOf({ kind: 'cane', id: card.revisionId });
}

/** Keys of everything that some canes are made of, each once. */
export const materialsInCanes = (canes: readonly CutCaneInside[]): readonly string[] => [
  ...new Set(canes.flatMap(({ program }) => usedIn(program.steps).materials)),
];
