import { DEGREES, whole, type Doing } from '#core/cane/document';
import { areaOf, clipped, outlineOf, type Point } from '#core/cane/outlines';
import type { ChangeKind } from './kind.js';
import { wholeIn } from './measure.js';
import { stretched } from './pressing.js';
import { sumOf, type CaneState } from './state.js';
import { alike, partAmounts, withoutPlaces } from './unlike.js';
import { complaint } from './sentences.js';

/**
 * Cut lengthwise in equal parts through the middle, from a direction on.
 * `keep`: which of them goes on, from 1, where they are not alike.
 */
export interface Split extends Doing<'split'> {
  readonly parts: number;
  readonly degrees: number;
  readonly keep?: number;
}

const [FEWEST, MOST] = [2, 24];

/** One of the parts of a lengthwise cut, as it is cut; `amounts` are still those of the whole. */
function partOf(state: CaneState, { parts, degrees }: Split, which: number): CaneState {
  const cutAt = (n: number): number => ((degrees + (360 / parts) * n) * Math.PI) / 180;
  const [from, to] = [cutAt(which), cutAt(which + 1)];
  // left of the first cut, right of the second
  let points: readonly Point[] = clipped(state.outline.points, Math.sin(from), -Math.cos(from), 0);
  if (parts > 2) points = clipped(points, -Math.sin(to), Math.cos(to), 0);
  const { outline, moved } = outlineOf(points);
  const [mx, my] = moved;
  const inner = state.sample;
  return { ...state, outline, sample: (x, y) => inner(x + mx, y + my) };
}

/** All parts go on, each the mean of them, so that no clay is lost between the cuts. */
function allOf(state: CaneState, step: Split): CaneState {
  const { parts } = step;
  const first = partOf(state, step, 0);
  const mean = Math.sqrt(areaOf(state.outline) / parts / areaOf(first.outline));
  const each = new Map([...state.amounts].map(([index, area]) => [index, area / parts]));
  return { ...stretched(first, mean, mean), amounts: each, count: state.count * parts };
}

/**
 * Where the parts are alike all of them go on; where they are not, the one
 * that was chosen does.
 * @throws Complaint `cane/count`, `cane/unlike`
 */
export const split: ChangeKind<Split> = {
  fields: { parts: whole(FEWEST, MOST), degrees: DEGREES, 'keep?': whole(1, MOST) },
  change: (state, step) => {
    const { parts, keep } = step;
    wholeIn(parts, 'The number of parts', FEWEST, MOST);
    const amounts = partAmounts(state, parts, step.degrees);
    if (alike(amounts)) return allOf(state, step);
    const kept = amounts[(keep ?? 0) - 1];
    if (keep === undefined || !kept) throw complaint('cane/unlike', { parts });
    const part = partOf(state, step, keep - 1);
    return { ...part, amounts: withoutPlaces(kept, areaOf(part.outline)) };
  },
  spoilt: (_, before, after) => {
    const share = areaOf(after.outline) / areaOf(before.outline);
    return before.spoilt.map((s) => ({ ...s, mm3: s.mm3 * share }));
  },
  cuts: true,
  leaves: (_, before, after) =>
    after.count === before.count
      ? [{ why: 'pieces', counted: true, amounts: sumOf([before.amounts, 1], [after.amounts, -1]) }]
      : [],
};
