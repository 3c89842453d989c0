import { DEGREES, among, type Doing } from '#core/cane/document';
import { LONG_ENOUGH, extentOf, outlineOf, sideTowards, sidesOf, type Outline, type Point } from '#core/cane/outlines';
import { using } from './joins.js';
import type { ChangeKind } from './kind.js';
import { turnedBy } from './pressing.js';
import { sumOf, type CaneState, type Sampler, type Unspoilt } from './state.js';
import { complaint } from './sentences.js';

/**
 * Two along a straight side: one mirrored there, or turned by half. `side`: degrees in which that side looks, the
 * nearest one to it is taken; left out: the flat side at the bottom.
 */
export interface Pair extends Doing<'pair'> {
  readonly turned: 'mirror' | 'half';
  readonly side?: number;
}

const [LEVEL, HAIR] = [1e-6, 1e-9];

interface Base {
  /** of the flat side: its middle, half its width, and how high it lies */
  readonly middle: number;
  readonly half: number;
  readonly bottom: number;
}

/** The flat side at the bottom, that nothing else reaches down to. @throws Complaint `cane/base` */
function baseOf(outline: Outline): Base {
  const { bottom, height } = extentOf(outline);
  const low = (p: Point): boolean => p[1] < bottom + LEVEL * height;
  const side = sidesOf(outline).find((s) => low(s.from) && low(s.to));
  if (!side || side.length < LONG_ENOUGH * height) throw complaint('cane/base');
  const [middle, half] = [(side.from[0] + side.to[0]) / 2, Math.abs(side.to[0] - side.from[0]) / 2];
  const beside = outline.points.some((p) => low(p) && Math.abs(p[0] - middle) > half + LEVEL * height);
  if (beside) throw complaint('cane/base');
  return { middle, half, bottom };
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

function alongBottom(state: CaneState, { turned }: Pair): Unspoilt {
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

const DOWN = 270;

/** The chosen side is turned to the bottom, and what comes of it back again. @throws Complaint `cane/base` */
function joined(state: CaneState, step: Pair): Unspoilt {
  if (step.side === undefined) return alongBottom(state, step);
  const side = sideTowards(state.outline, step.side);
  if (!side) throw complaint('cane/base');
  const by = DOWN - side.outwards;
  return turnedBy(alongBottom(turnedBy(state, by), step), -by);
}

export const pair: ChangeKind<Pair> = {
  fields: { turned: among('mirror', 'half'), 'side?': DEGREES },
  change: joined,
  own: () => 2,
  joins: true,
  spoils: true,
};
