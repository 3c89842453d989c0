import type { Outline, Point } from '#core/outline';
import { complaint } from './sentences.js';

/**
 * Directions about the centre, without angles: on the diamond |x| + |y| = 1,
 * numbered 0 to 4 counterclockwise from the right. Within a quarter, what is
 * linear in x and y is linear in this number times |x| + |y|, so that
 * straight edges need no more than a table of it.
 */
export const direction = (x: number, y: number): number => {
  const sum = Math.abs(x) + Math.abs(y);
  if (sum === 0) return 0;
  return quarters(x, y / sum);
};

/** From 0 to 4 around the diamond, by the half it lies in and how high. */
function quarters(x: number, p: number): number {
  if (x < 0) return 2 - p;
  return p >= 0 ? p : 4 + p;
}

/** Steps of a table around the centre; a multiple of four, so that the axes are on it. */
export const STEPS = 4096;
const PER = STEPS / 4;

/** The point of the diamond at a direction. */
export function onDiamond(at: number): Point {
  const t = ((at % 4) + 4) % 4;
  if (t <= 1) return [1 - t, t];
  if (t <= 2) return [1 - t, 2 - t];
  if (t <= 3) return [t - 3, 2 - t];
  return [t - 3, t - 4];
}

/**
 * How far an outline reaches in each direction, as 1 / (|x| + |y|) of its
 * edge: `STEPS + 2` numbers, the last two as the first two. Exact on straight edges but for the two steps
 * beside a corner.
 * @throws Complaint `cane/star` where the centre does not see the whole edge
 */
export function reachOf({ points }: Outline): Float64Array {
  const table = new Float64Array(STEPS + 2);
  const n = points.length;
  let round = 0;
  for (let i = 0; i < n; i++) {
    const [p, q] = [points[i] as Point, points[(i + 1) % n] as Point];
    const turn = p[0] * q[1] - p[1] * q[0];
    const size = Math.hypot(p[0], p[1]) * Math.hypot(q[0], q[1]);
    if (turn < -1e-9 * size) throw complaint('cane/star');
    const from = direction(p[0], p[1]) * PER;
    let to = direction(q[0], q[1]) * PER;
    if (to < from - 1e-9) to += STEPS;
    round += to - from;
    if (turn <= 1e-9 * size) continue;
    for (let k = Math.ceil(from - 1e-9); k <= Math.floor(to + 1e-9); k++) {
      const [cx, cy] = onDiamond((k % STEPS) / PER);
      // on the edge: cross(p, q) = t · cross(direction, edge)
      table[k % STEPS] = Math.max(0, (cx * (q[1] - p[1]) - cy * (q[0] - p[0])) / turn);
    }
  }
  // once around, or the centre lies outside
  if (Math.abs(round - STEPS) > 1e-3) throw complaint('cane/star');
  table[STEPS] = table[0] as number;
  // a direction a hair below the first one rounds to the last step of all
  table[STEPS + 1] = table[1] as number;
  return table;
}

/** Whether a point lies within an outline, from its reach; 1 is on the edge, more is outside. */
export function beyond(reach: Float64Array, x: number, y: number): number {
  const sum = Math.abs(x) + Math.abs(y);
  if (sum === 0) return 0;
  const p = y / sum;
  const at = quarters(x, p) * PER;
  const k = at | 0;
  const a = reach[k] as number;
  return sum * (a + ((reach[k + 1] as number) - a) * (at - k));
}
