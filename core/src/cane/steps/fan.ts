import { DEGREES, list, number, part, whole, yesOrNo, type AnyStep, type Doing } from '#core/cane/document';
import { areaOf, scaled, shapeOutline, tipOf } from '#core/cane/outlines';
import { MOST_KINDS } from './counted.js';
import { lengthOf, reductionsOf, using } from './joins.js';
import type { ChangeKind } from './kind.js';
import { wholeIn } from './measure.js';
import { pressedTo, turnedBy } from './pressing.js';
import { sumOf, type CaneState, type Sampler, type Unspoilt } from './state.js';
import { sameSized, turnParts, turnUses, type TakingTurns } from './turns.js';

/**
 * Wedges side by side with their tips up, pressed together to one triangle. `ratio`: width of the triangle for a
 * height of 1. `tip`: degrees of what comes to lie in the tip; left out: the sharpest corner of a piece.
 */
export interface Fan<S = AnyStep> extends Doing<'fan'>, TakingTurns<S> {
  readonly mirrored: boolean;
  readonly ratio: number;
  readonly tip?: number;
}

const [FEWEST, MOST] = [2, 36];
const [LEAST_RATIO, MOST_RATIO] = [0.1, 10];
const UP = 90;

/** A piece pressed to a wedge of a width for its height, its tip up. */
function wedgeOf(state: CaneState, ratio: number, tip: number): CaneState {
  return pressedTo(turnedBy(state, -tip), shapeOutline({ shape: 'triangle', ratio }), UP);
}

/**
 * The wedges share the tip of the triangle and stand side by side on its base: each is a triangle of the same base
 * and height, sheared towards the tip, so that all areas stay.
 * @throws Complaint `cane/count`, `cane/pieces`
 */
function joined(state: CaneState, step: Fan, parts: readonly CaneState[]): Unspoilt {
  const { count, mirrored, ratio, tip } = step;
  wholeIn(count, 'The number of wedges', FEWEST, MOST);
  const kinds = sameSized(state, parts);
  const wedges = kinds.map((kind) => wedgeOf(kind, ratio / count, tip ?? tipOf(kind.outline)));
  const height = Math.sqrt((2 * count * areaOf(state.outline)) / ratio);
  const [width, low] = [ratio * height, height / 3];
  const each = width / count;
  const sample: Sampler = (x, y) => {
    // 1 at the base, 0 at the tip
    const down = Math.max(1e-9, (height - low - y) / height);
    const k = Math.min(count - 1, Math.max(0, Math.floor((x / down + width / 2) / each)));
    const across = x - ((k + 0.5) * each - width / 2) * down;
    const wedge = wedges[k % wedges.length] as CaneState;
    return wedge.sample(mirrored && (k & 1) === 1 ? -across : across, y);
  };
  const uses = turnUses(step);
  return {
    outline: scaled(shapeOutline({ shape: 'triangle', ratio }), height),
    length: lengthOf(kinds),
    count: using(state, uses[0] ?? 1),
    sample,
    reductions: reductionsOf(kinds),
    amounts: sumOf(...kinds.map((k, i) => [k.amounts, uses[i] ?? 0] as const)),
  };
}

export const fan: ChangeKind<Fan> = {
  fields: {
    count: whole(FEWEST, MOST),
    mirrored: yesOrNo,
    ratio: number(LEAST_RATIO, MOST_RATIO),
    'tip?': DEGREES,
    'others?': list(part, 0, MOST_KINDS),
  },
  parts: turnParts,
  change: joined,
  own: (step) => turnUses(step)[0] ?? 1,
  joins: true,
  spoils: true,
};
