import { DEGREES, list, part, whole, yesOrNo, type AnyStep, type Doing } from '#core/cane/document';
import { areaOf, outlineOf, type Point } from '#core/cane/outlines';
import { MOST_KINDS } from './counted.js';
import { lengthOf, reductionsOf, using } from './joins.js';
import type { ChangeKind } from './kind.js';
import { wholeIn } from './measure.js';
import { pressedTo } from './pressing.js';
import { sumOf, type CaneState, type Sampler, type Unspoilt } from './state.js';
import { sameSized, turnParts, turnUses, type TakingTurns } from './turns.js';

/** Wedges around the middle; `corner`: degrees of what comes to lie in the middle. */
export interface Pie<S = AnyStep> extends Doing<'pie'>, TakingTurns<S> {
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
function joined(state: CaneState, step: Pie, parts: readonly CaneState[]): Unspoilt {
  const { count, mirrored, corner } = step;
  wholeIn(count, 'The number of wedges', FEWEST, MOST);
  const half = Math.PI / count;
  const { outline, moved } = outlineOf(tipOf(half));
  const kinds = sameSized(state, parts);
  // `corner` 0: what lies at the right goes outwards; half a turn: into the middle
  const wedges = kinds.map((kind) => pressedTo(kind, outline, corner));
  const factor = Math.sqrt(areaOf(state.outline) / areaOf(outline));
  const [mx, my] = [moved[0] * factor, moved[1] * factor];
  const sample: Sampler = (x, y) => {
    const angle = Math.atan2(y, x);
    const k = Math.round(angle / (2 * half));
    const [c, s] = [Math.cos(k * 2 * half), Math.sin(k * 2 * half)];
    const [px, py] = [x * c + y * s, y * c - x * s];
    const wedge = wedges[((k + count) % count) % wedges.length] as CaneState;
    return wedge.sample(px - mx, (mirrored && (k & 1) === 1 ? -py : py) - my);
  };
  const corners = Array.from({ length: count }, (_, i): Point => [
    factor * Math.cos((2 * i + 1) * half),
    factor * Math.sin((2 * i + 1) * half),
  ]);
  const uses = turnUses(step);
  return {
    outline: outlineOf(corners).outline,
    length: lengthOf(kinds),
    sample,
    reductions: reductionsOf(kinds),
    count: using(state, uses[0] ?? 1),
    amounts: sumOf(...kinds.map((k, i) => [k.amounts, uses[i] ?? 0] as const)),
  };
}

export const pie: ChangeKind<Pie> = {
  fields: { count: whole(FEWEST, MOST), mirrored: yesOrNo, corner: DEGREES, 'others?': list(part, 0, MOST_KINDS) },
  parts: turnParts,
  change: joined,
  own: (step) => turnUses(step)[0] ?? 1,
  joins: true,
  spoils: true,
};
