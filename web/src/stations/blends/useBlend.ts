import { useMemo } from 'react';
import type { BlendAnswer, BlendPlanDto, MachineDto, ShelfAnswer } from '#contract';
import { usePigments } from '../../wire/pigments.js';
import { coloursIn, compensatedIn, workedBlend, type WorkedBlend } from './workedBlend.js';

/**
 * A blend worked out; while a cut is dragged, with the cuts as they are under the hand. A sentence where it cannot
 * be.
 */
export function useBlend(
  blend: BlendAnswer,
  shelf: ShelfAnswer,
  own: MachineDto | undefined,
  dragged: BlendPlanDto['cuts'] | null,
): WorkedBlend | string {
  const pigments = usePigments();
  const { plan } = blend;
  // a mix that was just picked is not known yet; it comes with the answer
  const base = useMemo(() => coloursIn(blend, shelf, pigments), [blend, shelf, pigments]);
  const compensated = useMemo(() => (typeof base === 'string' ? base : compensatedIn(plan, base)), [base, plan]);
  return useMemo(
    () =>
      typeof base === 'string' || typeof compensated === 'string'
        ? String(base)
        : workedBlend(blend, dragged ?? plan.cuts, base, compensated, own),
    [base, compensated, own, plan, dragged, blend],
  );
}
