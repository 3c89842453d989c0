import type { Mm } from '#core/units';
import { DEGREES, LENGTH, among, material, type Doing, type MaterialKey } from '#core/cane/document';
import { areaOf, beyond, offset, reachOf, stretchOf, type Outline, type Point } from '#core/cane/outlines';
import { coated } from './coated.js';
import type { ChangeKind } from './kind.js';
import { positive, tidy } from './measure.js';
import { numberOf } from './state.js';

/**
 * Clay laid along a stretch of the outside, from one direction about the middle to another, counterclockwise. A
 * sheet is as thick all the way, its two ends pressed down; a snake is thickest in the middle and runs out.
 */
export interface Edge extends Doing<'edge'> {
  readonly of: MaterialKey;
  readonly thickness: Mm;
  readonly from: number;
  readonly to: number;
  readonly form: 'sheet' | 'snake';
}

/** An end of a sheet is pressed down over so many times its thickness, at most so much of the stretch. */
const [PRESSED_DOWN, AT_MOST] = [1, 0.25];

/** How thick what is laid is, as a share, at a place from one end of a stretch. @param long of the stretch */
const THICK: Readonly<Record<Edge['form'], (at: Mm, long: Mm, thickness: Mm) => number>> = {
  sheet: (at, long, thickness) => {
    const run = Math.min(thickness * PRESSED_DOWN, long * AT_MOST);
    return Math.min(1, at / run, (long - at) / run);
  },
  snake: (at, long) => Math.sin((Math.PI * at) / long),
};

/**
 * The outline with what was laid along its stretch, about the middle it had before.
 * @throws Complaint `cane/stretch`, `cane/star`
 */
function covered(outline: Outline, { thickness, from, to, form }: Edge): Outline {
  const stretch = stretchOf(outline, from, to);
  const reach = reachOf(offset(outline, thickness));
  const points = stretch.points.map(([x, y], i): Point => {
    const at = stretch.along[i];
    if (at === null || at === undefined) return [x, y];
    // outwards from the middle, so that the middle goes on to see the whole edge
    const far = 1 + THICK[form](at, stretch.long, thickness) * (1 / beyond(reach, x, y) - 1);
    return [x * far, y * far];
  });
  return { points, round: false };
}

export const edge: ChangeKind<Edge> = {
  fields: { of: material, thickness: LENGTH, from: DEGREES, to: DEGREES, form: among('sheet', 'snake') },
  scaled: (step, factor) => ({ ...step, thickness: tidy(step.thickness * factor) }),
  change: (state, step, _, context) => {
    positive(step.thickness, 'What is laid along it');
    return coated(state, covered(state.outline, step), numberOf(context, step.of));
  },
  sheet: ({ of, thickness, form }, before, after) => {
    const area = areaOf(after.outline) - areaOf(before.outline);
    if (form === 'sheet') return { of, thickness, width: area / thickness };
    const across = 2 * Math.sqrt(area / Math.PI);
    return { of, thickness: across, width: across, snake: true };
  },
};
