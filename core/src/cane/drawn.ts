import type { Mm } from '#core/units';
import { signedArea, type Point } from './outline.js';
import type { Region } from './program.js';

/** A flat region of a drawing: what it is called there, its colour there, and its edge. */
export interface DrawnRegion {
  readonly name: string;
  /** sRGB, six hex digits */ readonly hex: string;
  readonly points: readonly Point[];
}

/** A drawing made ready to be a template: the first region is the ground. mm, y up, about the middle. */
export interface Drawn {
  readonly regions: readonly DrawnRegion[];
  /** sentences about what was left out or mended */
  readonly notes: readonly string[];
}

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

/** The point between two others that is farthest from the line through them; -1 where all are nearer than a distance. */
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

/** Share of the whole that a region has to cover to be taken for the ground. */
const GROUND = 0.985;
const FEWEST_MM2 = 0.05;

/**
 * Regions of a drawing at a width, about the middle, y up: the largest that
 * covers all is the ground; where there is none, a rectangle around them.
 * @param regions in any measure, y down, in the order they were drawn
 */
export function drawnOf(regions: readonly DrawnRegion[], width: Mm, tolerance: Mm, notes: readonly string[]): Drawn {
  const xs = regions.flatMap((r) => r.points.map((p) => p[0]));
  const ys = regions.flatMap((r) => r.points.map((p) => p[1]));
  const [left, right, top, bottom] = [
    xs.reduce((a, b) => Math.min(a, b), Infinity),
    xs.reduce((a, b) => Math.max(a, b), -Infinity),
    ys.reduce((a, b) => Math.min(a, b), Infinity),
    ys.reduce((a, b) => Math.max(a, b), -Infinity),
  ];
  const scale = width / (right - left);
  const [cx, cy] = [(left + right) / 2, (top + bottom) / 2];
  const height = (bottom - top) * scale;
  const said = [...notes];
  const moved = regions
    .map((r) => ({
      ...r,
      points: simplified(
        r.points.map(([x, y]): Point => [(x - cx) * scale, (cy - y) * scale]),
        tolerance,
      ),
    }))
    .filter((r) => r.points.length >= 3 && Math.abs(signedArea(r.points)) >= FEWEST_MM2);
  if (moved.length < regions.length)
    said.push(`${regions.length - moved.length} regions smaller than a pinhead were left out.`);
  const crossing = moved.filter((r) => crossesItself(r.points)).length;
  if (crossing > 0)
    said.push(
      `${crossing} ${crossing === 1 ? 'outline crosses itself' : 'outlines cross themselves'}: what is enclosed twice counts as outside there.`,
    );
  const whole = width * height;
  const at = moved.findIndex((r) => Math.abs(signedArea(r.points)) > GROUND * whole);
  const ground = moved[at] ?? {
    name: 'ground',
    hex: moved[0]?.hex ?? 'FFFFFF',
    points: [
      [-width / 2, -height / 2],
      [width / 2, -height / 2],
      [width / 2, height / 2],
      [-width / 2, height / 2],
    ] as const,
  };
  if (at < 0) said.push('Nothing in the drawing covers all of it, so a rectangle around it is the ground.');
  return { regions: [ground, ...moved.filter((_, i) => i !== at)], notes: said };
}

/** Regions of a drawing as those of a template, filled by their colours. @param key what a colour of the drawing is filled with */
export const drawnToRegions = ({ regions }: Drawn, key: (hex: string) => string): Region[] =>
  regions.map((r, i): Region => ({ id: `region ${i + 1}`, name: r.name, points: r.points, fill: { of: key(r.hex) } }));
