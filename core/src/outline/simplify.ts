import type { Mm } from '#core/units';
import type { Point } from './outline.js';

/** Points of a line that are looked over at once. */
const STRETCH = 400;

/** From each kept point to the next. */
function spansOf(keep: Uint8Array): [number, number][] {
  const spans: [number, number][] = [];
  let from = 0;
  for (let i = 1; i < keep.length; i++) {
    if (keep[i] !== 1) continue;
    spans.push([from, i]);
    from = i;
  }
  return spans;
}

/**
 * The point between two others that is farthest from the line through them; -1 where all are nearer than a
 * distance.
 */
function farthest(at: (i: number) => Point, from: number, to: number, tolerance: Mm): number {
  const [px, py] = at(from);
  const [qx, qy] = at(to);
  const [dx, dy] = [qx - px, qy - py];
  const length = Math.hypot(dx, dy);
  let worst = tolerance;
  let where = -1;
  for (let i = from + 1; i < to; i++) {
    const point = at(i);
    const [ox, oy] = [point[0] - px, point[1] - py];
    const off = length === 0 ? Math.sqrt(ox * ox + oy * oy) : Math.abs(ox * dy - oy * dx) / length;
    if (off <= worst) continue;
    worst = off;
    where = i;
  }
  return where;
}

/** The fewest points that stay within a distance of a closed line (D. H. Douglas and T. K. Peucker, 1973). */
export function simplified(points: readonly Point[], tolerance: Mm): Point[] {
  const n = points.length;
  if (n < 5) return [...points];
  // two points far apart begin it, so that a closed line has two ends
  let far = 0;
  points.forEach(([x, y], i) => {
    const [a, b] = [points[0] as Point, points[far] as Point];
    if (Math.hypot(x - a[0], y - a[1]) > Math.hypot(b[0] - a[0], b[1] - a[1])) far = i;
  });
  const keep = new Uint8Array(n + 1);
  keep[0] = keep[n] = keep[far] = 1;
  const at = (i: number): Point => points[i % n] as Point;
  // a ragged line would be looked over once for each of its teeth: long ones are taken in stretches
  for (let i = STRETCH; i < n; i += STRETCH) keep[i] = 1;
  const spans = spansOf(keep);
  for (let span = spans.pop(); span; span = spans.pop()) {
    const [from, to] = span;
    const where = farthest(at, from, to, tolerance);
    if (where < 0) continue;
    keep[where] = 1;
    spans.push([from, where], [where, to]);
  }
  return points.filter((_, i) => keep[i] === 1);
}

/** Whether a closed line crosses itself. */
export function crossesItself(points: readonly Point[]): boolean {
  const n = points.length;
  const side = (a: Point, b: Point, c: Point): number =>
    Math.sign((b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]));
  // looked at by their left ends, so that only edges that overlap sideways are compared
  const edges = points
    .map((p, i) => ({ i, p, q: points[(i + 1) % n] as Point }))
    .map((e) => ({ ...e, low: Math.min(e.p[0], e.q[0]), high: Math.max(e.p[0], e.q[0]) }))
    .sort((a, b) => a.low - b.low);
  for (let k = 0; k < edges.length; k++) {
    const a = edges[k] as (typeof edges)[number];
    for (let m = k + 1; m < edges.length && (edges[m] as typeof a).low <= a.high; m++) {
      const b = edges[m] as typeof a;
      const apart = Math.abs(a.i - b.i);
      if (apart <= 1 || apart === n - 1) continue;
      if (side(a.p, a.q, b.p) * side(a.p, a.q, b.q) < 0 && side(b.p, b.q, a.p) * side(b.p, b.q, a.q) < 0) return true;
    }
  }
  return false;
}
