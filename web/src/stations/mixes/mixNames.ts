import type { IngredientDto, RevisionAnswer, ShelfAnswer } from '#contract';

/** How an ingredient is called in notation; the number of its revision where that is not the newest. */
export interface Named {
  readonly name: string;
  readonly revision: number | null;
}

/** The name of a clay; with its line where two clays are called alike. */
function clayName(id: string, shelf: ShelfAnswer): string | null {
  const clay = shelf.clays.find((c) => c.id === id);
  if (!clay) return null;
  const twins = shelf.clays.filter((c) => c.name.toLowerCase() === clay.name.toLowerCase());
  const line = shelf.lines.find((l) => l.id === clay.lineId);
  return twins.length > 1 && line ? `${clay.name} of ${line.name}` : clay.name;
}

/** How an ingredient is called here, as the notation writes it. */
export function namedIn(
  ingredient: IngredientDto | undefined,
  shelf: ShelfAnswer,
  revisions: readonly RevisionAnswer[],
): Named {
  const clay = ingredient ? clayName(ingredient.of.id, shelf) : null;
  if (clay !== null) return { name: clay, revision: null };
  const revision = revisions.find((r) => r.id === ingredient?.of.id);
  return { name: revision?.mixName ?? 'a mix', revision: revision && !revision.newest ? revision.number : null };
}
