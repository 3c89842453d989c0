import { isJoin, spoiltByHandling, spoiltByReducing, type Spoilt } from './ends.js';
import { gridUses } from './joining.js';
import { areaOf, diameterOf } from './outline.js';
import type { Step } from './program.js';
import type { CaneState, Unspoilt } from './state.js';

/** How many pieces of the row itself lie in one piece after a step. */
function piecesIn(step: Step): number {
  switch (step.do) {
    case 'grid':
      return gridUses(step)[0] ?? 1;
    case 'pie':
    case 'ring':
    case 'bundle':
      return step.count;
    case 'pair':
      return 2;
    default:
      return 1;
  }
}

/**
 * What is spoilt at the ends after a step, by each step since the last trim.
 * It is clay like any other: cut in pieces and joined it is divided and
 * summed up. What a reduction spoils covers what presses and joins did before it.
 */
export function spoiltAfter(step: Step, before: CaneState, after: Unspoilt): readonly Spoilt[] {
  const times = (factor: number): Spoilt[] => before.spoilt.map((s) => ({ ...s, mm3: s.mm3 * factor }));
  if (isJoin(step))
    return [...times(piecesIn(step)), spoiltByHandling(diameterOf(before.outline), areaOf(after.outline))];
  switch (step.do) {
    case 'reduce':
      return [
        ...before.spoilt.filter((s) => s.by === 'reducing'),
        spoiltByReducing(after.outline, areaOf(before.outline)),
      ];
    case 'press':
    case 'squeeze':
      return [...before.spoilt, spoiltByHandling(diameterOf(before.outline), areaOf(after.outline))];
    case 'split':
      return times(areaOf(after.outline) / areaOf(before.outline));
    case 'across':
      return times(1 / step.pieces);
    case 'trim':
    case 'slice':
      return [];
    default:
      return before.spoilt;
  }
}
