import { keyOf, ofClay, type MaterialKey } from '#core/material';
import { planBatch, type BatchPlan, type PlanInput } from './plan.js';

/** The most pieces of one kind that what is there gives. */
export interface MostPieces {
  /** without spares; 0 where even one is too many */
  readonly count: number;
  /** what is short of the next one; null where nothing is, up to the most that a batch takes */
  readonly runsOut: MaterialKey | null;
}

/** Pieces of one kind that a batch takes at most. */
const MOST = 4000;

/** The clay or the thing of which a plan is shortest, by its share. */
function shortest({ clays, ready }: BatchPlan): MaterialKey | null {
  const all = [
    ...clays.map((c) => ({ key: keyOf(ofClay(c.clayId)), share: c.short / c.grams })),
    ...ready.map((r) => ({ key: keyOf(r.of), share: r.short / r.grams })),
  ].filter((a) => a.share > 0);
  return all.sort((a, b) => b.share - a.share)[0]?.key ?? null;
}

/**
 * As many pieces of one kind as the shelf and what lies there give, with everything else of the batch as it is
 * planned: the same plan, looked for by halving.
 * @param input of a batch that has the piece
 */
export function mostPieces(input: PlanInput, pieceId: string): MostPieces {
  const at = (count: number): BatchPlan =>
    planBatch({
      ...input,
      pieces: input.pieces.map((p) => (p.id === pieceId ? { ...p, count } : p)),
      assemblies: (input.assemblies ?? []).map((a) => (a.id === pieceId ? { ...a, count } : a)),
    });
  const wrongAt = ({ pieces, assemblies }: BatchPlan): boolean =>
    [...pieces, ...assemblies].some((p) => p.id === pieceId && p.wrong !== null);
  const enough = (count: number): boolean => {
    const plan = at(count);
    return !wrongAt(plan) && shortest(plan) === null;
  };
  let [low, high] = [0, MOST + 1];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (enough(middle)) low = middle;
    else high = middle;
  }
  return { count: low, runsOut: low >= MOST ? null : shortest(at(low + 1)) };
}
