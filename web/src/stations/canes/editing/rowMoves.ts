/** A step of any kind of row, by its id. */
interface WithId {
  readonly id: string;
}

/** A row of steps as it was changed, and the step that is chosen then. */
export interface Row<S extends WithId> {
  readonly steps: readonly S[];
  readonly chosen: number;
}

/** A step put in behind the chosen one. */
export const addedTo = <S extends WithId>({ steps, chosen }: Row<S>, step: S): Row<S> => ({
  steps: [...steps.slice(0, chosen + 1), step, ...steps.slice(chosen + 1)],
  chosen: chosen + 1,
});

/** The chosen step in another state. */
export const editedIn = <S extends WithId>({ steps, chosen }: Row<S>, step: S): Row<S> => ({
  steps: steps.map((s, i) => (i === chosen ? step : s)),
  chosen,
});

/** The chosen step so many places on; null where it cannot go: what a cane begins with stays first. */
export function movedIn<S extends WithId>({ steps, chosen }: Row<S>, by: number): Row<S> | null {
  const to = chosen + by;
  const [one, other] = [steps[chosen], steps[to]];
  if (chosen < 1 || to < 1 || !one || !other) return null;
  const next = [...steps];
  [next[chosen], next[to]] = [other, one];
  return { steps: next, chosen: to };
}

/** The chosen step once more; null for what a cane begins with. */
export function copiedIn<S extends WithId>(row: Row<S>): Row<S> | null {
  const step = row.steps[row.chosen];
  return step && row.chosen > 0 ? addedTo(row, { ...step, id: crypto.randomUUID() }) : null;
}

/** Without the chosen step; null for what a cane begins with. */
export const takenOut = <S extends WithId>({ steps, chosen }: Row<S>): Row<S> | null =>
  chosen > 0 ? { steps: steps.filter((_, i) => i !== chosen), chosen: chosen - 1 } : null;
