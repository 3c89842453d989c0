import { among, type Doing } from '#core/cane/document';
import { extentOf, outlineOf, type Outline, type Point } from '#core/cane/outlines';
import { using } from './joins.js';
import type { ChangeKind } from './kind.js';
import { sumOf, type CaneState, type Sampler, type Unspoilt } from './state.js';
import { complaint } from './sentences.js';

/** Two along the flat bottom side: one mirrored there, or turned by half. */
export interface Pair extends Doing<'pair'> {
  readonly turned: 'mirror' | 'half';
}

/** A side at the bottom has to be so wide for the height of the piece. */
const WIDE_ENOUGH = 0.05;
const [LEVEL, HAIR] = [1e-6, 1e-9];

interface Base {
  /** of the flat side: its middle, half its width, and how high it lies */
  readonly middle: number;
  readonly half: number;
  readonly bottom: number;
}

/** @throws Complaint `cane/base` */
function baseOf(outline: Outline): Base {
  const { bottom, height } = extentOf(outline);
  const xs = outline.points.filter((p) => p[1] < bottom + LEVEL * height).map((p) => p[0]);
  const [left, right] = [Math.min(...xs), Math.max(...xs)];
  if (xs.length < 2 || right - left < WIDE_ENOUGH * height) throw complaint('cane/base');
  return { middle: (left + right) / 2, half: (right - left) / 2, bottom };
}

/**
 * Counterclockwise from the right end of the base over the top to the left end, the middle of the base at the
 * origin.
 */
function overTheTop({ points }: Outline, { middle, half, bottom }: Base): Point[] {
  const upper = points.map(([x, y]): Point => [x - middle, y - bottom]);
  const start = upper.findIndex(([x, y]) => Math.abs(x - half) < HAIR && Math.abs(y) < HAIR);
  const around = [...upper.slice(start), ...upper.slice(0, start)];
  return around.filter(([x, y]) => y > HAIR || Math.abs(Math.abs(x) - half) < HAIR);
}

function joined(state: CaneState, { turned }: Pair): Unspoilt {
  const base = baseOf(state.outline);
  const over = overTheTop(state.outline, base);
  const between = over.slice(1, -1);
  const under =
    turned === 'half'
      ? between.map(([x, y]): Point => [-x, -y])
      : [...between].reverse().map(([x, y]): Point => [x, -y]);
  const { outline, moved } = outlineOf([...over, ...under]);
  const inner = state.sample;
  const [mx, my] = moved;
  const { middle, bottom } = base;
  const sideways = turned === 'half' ? -1 : 1;
  const sample: Sampler = (x, y) => {
    const [px, py] = [x + mx, y + my];
    return py >= 0 ? inner(px + middle, py + bottom) : inner(sideways * px + middle, -py + bottom);
  };
  return { ...state, outline, sample, count: using(state, 2), amounts: sumOf([state.amounts, 2]) };
}

export const pair: ChangeKind<Pair> = {
  fields: { turned: among('mirror', 'half') },
  change: joined,
  own: () => 2,
  joins: true,
  spoils: true,
};
