import type { Knowledge } from '#core/sheet';

/** The edge of one sheet on the ladder. */
export interface Edge {
  readonly id: string;
  readonly label: string;
  readonly words: string;
  readonly mm: number;
  readonly knowledge: Knowledge;
}
/** A machine, a stack of cards, or the guides of a roller. */
export interface Rung {
  readonly id: string;
  readonly name: string;
  readonly edges: readonly Edge[];
}

export interface Equals {
  readonly edge: Edge;
  /** the nearest edge of every other rung; `off` > 0: it is thicker */
  readonly near: readonly { readonly rung: Rung; readonly edge: Edge; readonly off: number }[];
}

/** What an edge is on all the others. */
export function equalsOf(rungs: readonly Rung[], id: string | null): Equals | null {
  const own = rungs.find((r) => r.edges.some((e) => e.id === id));
  const edge = own?.edges.find((e) => e.id === id);
  if (!own || !edge) return null;
  const near = rungs
    .filter((r) => r !== own && r.edges.length > 0)
    .map((rung) => {
      const nearest = rung.edges.reduce((best, e) =>
        Math.abs(e.mm - edge.mm) < Math.abs(best.mm - edge.mm) ? e : best,
      );
      return { rung, edge: nearest, off: nearest.mm - edge.mm };
    });
  return { edge, near };
}
