import { areaOf, diameterOf } from '#core/cane/outlines';
import { spoiltByHandling, type Spoilt, type Trimming } from './ends.js';
import { changeOf, isBegin, type Step, type Then } from './kinds.js';
import type { CaneState, Unspoilt } from './state.js';

/** Pieces that are joined bring what was spoilt at their ends with them, and the handling spoils more. */
function spoiltByJoining(pieces: number, before: CaneState, after: Unspoilt): readonly Spoilt[] {
  const brought = before.spoilt.map((s) => ({ ...s, mm3: s.mm3 * pieces }));
  return [...brought, spoiltByHandling(diameterOf(before.outline), areaOf(after.outline))];
}

/**
 * What is spoilt at the ends after a step, by each step since the last trim.
 * It is clay like any other: cut in pieces and joined it is divided and
 * summed up.
 */
export function spoiltAfter(step: Then, before: CaneState, after: Unspoilt): readonly Spoilt[] {
  const kind = changeOf(step);
  if (kind.spoilt) return kind.spoilt(step, before, after);
  return kind.joins ? spoiltByJoining(kind.own?.(step) ?? 1, before, after) : before.spoilt;
}

const spoils = (step: Step): boolean => !isBegin(step) && changeOf(step).spoils === true;

/**
 * After which steps ends are cut off: after the last one that spoils them,
 * and, where it is done so, after every reduction. A trim that is a step of
 * the cane takes the place of the one before it.
 */
export function trimsAfter(steps: readonly Step[], trimming: Trimming): boolean[] {
  const last = steps.findLastIndex(spoils);
  return steps.map((step, i) => {
    if (steps[i + 1]?.do === 'trim') return false;
    if (i === last) return !steps.slice(i).some((s) => s.do === 'trim');
    return trimming === 'at every reduction' && step.do === 'reduce';
  });
}
