import { gradedSet, rowsIn, shadeBetween, type Fade, type FadePiece } from '#core/blend';
import { orSentence } from '#core/units';
import type { BlendPlanDto } from '#contract';

/** mm of clay between pieces. */
const BRIDGE = 2;

type Placed = NonNullable<BlendPlanDto['placed']>;

/** A set of pieces along the fade, one shade each; or the sentence why it is none. @param size mm */
export const evenly = (fade: Fade, count: number, size: number): readonly FadePiece[] | string =>
  orSentence(() => gradedSet(fade, count, size, BRIDGE));

/** The shades of pieces where they were put. */
export const shadesAt = (fade: Fade, placed: Placed): readonly FadePiece[] =>
  placed.map(({ x, size }) => ({ x, lab: shadeBetween(fade, x - size / 2, x + size / 2) }));

/** One of the pieces changed. */
export const withPiece = (placed: Placed, at: number, part: Partial<Placed[number]>): Placed =>
  placed.map((piece, i) => (i === at ? { ...piece, ...part } : piece));

const disc = (size: number): number => (Math.PI / 4) * size ** 2;

/** How many rows of them the sheet gives, and which share of it is left over. @param sizes mm of each in a row */
export function cutFrom(
  plan: BlendPlanDto,
  sizes: readonly number[],
): { readonly rows: number; readonly left: number } {
  const rows = rowsIn(plan.height, Math.max(1, ...sizes), BRIDGE);
  const area = sizes.reduce((sum, size) => sum + disc(size), 0);
  return { rows, left: 1 - Math.min(1, (area * rows) / (plan.width * plan.height)) };
}
