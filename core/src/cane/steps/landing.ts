import { cornersOf, degreesOf, pressOf, shapeOutline, type Outline } from '#core/cane/outlines';
import type { Step } from './kinds.js';
import { throughPress } from './pressing.js';

/** Where a corner of a pressed face comes from: degrees about the middle, counterclockwise from the right. */
export interface Landing {
  /** of what lay there before */
  readonly from: number;
  /** of the corner */
  readonly to: number;
}

/**
 * What becomes the corners of the shape that a face is pressed to, counterclockwise; none where the step presses to no
 * shape, or to a round one.
 */
export function landingsOf(before: Outline, step: Step): readonly Landing[] {
  if (step.do !== 'press') return [];
  const press = pressOf(before, shapeOutline(step.to), step.turn);
  return cornersOf(press.outline).map(([x, y]) => {
    let from = 0;
    throughPress((px, py) => {
      from = degreesOf(px, py);
      return 0;
    }, press)(x, y);
    return { from, to: degreesOf(x, y) };
  });
}
