import { isBegin, withMaterial, type Part, type Step } from '#core/cane';
import type { PlainStep } from '../../../workers/canePlain.js';
import { newId, rodOf, sizeOf } from './first.js';

/** How many pieces some steps cut one in. */
const piecesOf = (steps: readonly Step[]): number =>
  steps.reduce((count, step) => (step.do === 'across' ? count * step.pieces : count), 1);

/** A beginning that is so many times shorter: as long as its pieces. */
const shorter = (step: Step, pieces: number): Step =>
  'length' in step && isBegin(step) ? { ...step, length: step.length / pieces } : step;

/**
 * Another kind of rod beside the row's own: built in the same steps of another clay, as long as its pieces; where
 * the row does not begin with one clay, a plain rod as thick.
 * @param before the steps so far @param now the cane after them
 */
export function likeOwn(before: readonly Step[], now: PlainStep | null, of: string, name: string): Part {
  const [first] = before;
  if (!first || !('of' in first) || first.do === 'plug') {
    const { across, length } = sizeOf(now);
    return { ...rodOf(of, across, length), name };
  }
  const steps = withMaterial(before, first.of, of)
    .filter((step) => step.do !== 'across' && step.do !== 'trim')
    .map((step): Step => ({ ...shorter(step, piecesOf(before)), id: newId() }));
  return { name, steps };
}
