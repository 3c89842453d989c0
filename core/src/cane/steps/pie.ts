import { DEGREES, whole, yesOrNo, type Doing } from '#core/cane/document';
import { areaOf, outlineOf, type Point } from '#core/cane/outlines';
import { using } from './joins.js';
import type { ChangeKind } from './kind.js';
import { wholeIn } from './measure.js';
import { pressedTo } from './pressing.js';
import { sumOf, type CaneState, type Sampler, type Unspoilt } from './state.js';

/** Wedges around the middle; `corner`: degrees of what comes to lie in the middle. */
export interface Pie extends Doing<'pie'> {
  readonly count: number;
  readonly mirrored: boolean;
  readonly corner: number;
}

const [FEWEST, MOST] = [3, 36];

/** A triangle with its tip at the origin, opening to the right. */
const tipOf = (half: number): Point[] => [
  [0, 0],
  [Math.cos(half), -Math.sin(half)],
  [Math.cos(half), Math.sin(half)],
];

/**
 * Each piece is pressed to a triangle first, whose tip comes to lie in the middle.
 * @throws Complaint `cane/count`, `cane/pieces`
 */
function joined(state: CaneState, { count, mirrored, corner }: Pie): Unspoilt {
  wholeIn(count, 'The number of wedges', FEWEST, MOST);
  const half = Math.PI / count;
  const { outline, moved } = outlineOf(tipOf(half));
  // `corner` 0: what lies at the right goes outwards; half a turn: into the middle
  const wedge = pressedTo(state, outline, corner);
  const factor = Math.sqrt(areaOf(wedge.outline) / areaOf(outline));
  const inner = wedge.sample;
  const [mx, my] = [moved[0] * factor, moved[1] * factor];
  const sample: Sampler = (x, y) => {
    const angle = Math.atan2(y, x);
    const k = Math.round(angle / (2 * half));
    const [c, s] = [Math.cos(k * 2 * half), Math.sin(k * 2 * half)];
    const [px, py] = [x * c + y * s, y * c - x * s];
    return inner(px - mx, (mirrored && (k & 1) === 1 ? -py : py) - my);
  };
  const corners = Array.from({ length: count }, (_, i): Point => [
    factor * Math.cos((2 * i + 1) * half),
    factor * Math.sin((2 * i + 1) * half),
  ]);
  return {
    ...wedge,
    outline: outlineOf(corners).outline,
    sample,
    count: using(state, count),
    amounts: sumOf([state.amounts, count]),
  };
}

export const pie: ChangeKind<Pie> = {
  fields: { count: whole(FEWEST, MOST), mirrored: yesOrNo, corner: DEGREES },
  change: joined,
  own: ({ count }) => count,
  joins: true,
  spoils: true,
};
