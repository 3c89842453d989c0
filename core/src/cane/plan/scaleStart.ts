import { partsOf, scaledStep, withPart, type Part, type Step } from '#core/cane/steps';

const scaledPart = (part: Part, factor: number): Part =>
  'steps' in part ? { ...part, steps: part.steps.map((s) => scaled(s, factor)) } : part;

/** A step and the canes of its own in it, all sizes across by a factor. */
function scaled(step: Step, factor: number): Step {
  const sized = scaledStep(step, factor);
  return partsOf(sized).reduce<Step>((next, part, at) => withPart(next, at, scaledPart(part, factor)), sized);
}

/**
 * The same cane begun larger or smaller: all sizes across by a factor, but
 * not the last reduction, so that it comes out as before. Begun smaller, it
 * is longer at the beginning. Canes taken in by reference keep their size.
 */
export function begunAt(steps: readonly Step[], factor: number): Step[] {
  const last = steps.findLastIndex((s) => s.do === 'reduce' && s.to === 'diameter');
  return steps.map((step, i) => (i === last ? step : scaled(step, factor)));
}

/**
 * The same cane with a smaller or larger face: all sizes across by a factor, also what it is reduced to. Lengths stay,
 * so it gives as many slices: their clay goes by the square of the factor, that of its ends by the cube. Canes taken in
 * by reference keep their size.
 */
export const faceBy = (steps: readonly Step[], factor: number): Step[] => steps.map((step) => scaled(step, factor));

/** Whether a cane takes in others by reference, at any depth. */
export const takesInOthers = (steps: readonly Step[]): boolean =>
  steps.some((step) => partsOf(step).some((part) => !('steps' in part) || takesInOthers(part.steps)));
