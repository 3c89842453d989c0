import type { Step } from '#core/cane';
import { showLength, type UnitSystem } from '#core/units';
import type { FaceSize, PlainPlan } from '../../../workers/canePlain.js';
import { slicesWords } from './caneWords.js';

/** Steps that leave the stripes of a loaf as they lie. */
const STRIPED: readonly Step['do'][] = ['loaf', 'halve', 'thin', 'across', 'trim', 'reduce', 'squeeze', 'slice'];

/** Whether a cane is a loaf of stripes to its end. */
export const isStriped = (steps: readonly Step[]): boolean =>
  steps[0]?.do === 'loaf' && steps.every((step) => STRIPED.includes(step.do));

const STRAIGHT = 'the blade straight down';
const ROUND = `${STRAIGHT}, a quarter turn after each slice, so that no side is pressed flat.`;
const FLAT = `flat side down, ${STRAIGHT}, and not turned between slices, so that it keeps its sides.`;
const STRIPES =
  ' Its stripes lie down, flat on the board, while it is sliced. They stand up, along the way the slice goes, ' +
  'when it is rolled: stripes that lie across are drawn out to a zebra.';

/** How a cane is sliced: so many, so thick, and the way it lies. */
export function sliceLine(
  steps: readonly Step[],
  last: FaceSize | undefined,
  plan: Pick<PlainPlan, 'pieces' | 'each'>,
  { slices, sliceMm }: { readonly slices: number; readonly sliceMm: number },
  units: UnitSystem,
): string {
  const lies = last?.round ? ROUND : FLAT;
  const stripes = isStriped(steps) ? STRIPES : '';
  return `${slicesWords(plan, slices)}, each ${showLength(sliceMm, units)} thick: ${lies}${stripes}`;
}
