import { contours } from 'd3-contour';
import type { Point } from '#core/outline';
import type { Mm } from '#core/units';
import type { Grid } from './grid.js';

/** A row of tesserae: points evenly along its middle, all around, and the light that lies under each. */
export interface Row {
  readonly points: readonly Point[];
  /** mm from one point to the next */
  readonly step: Mm;
  /** three numbers a point */
  readonly light: Float32Array;
}

/** A part of a grid: its box in cells. */
export interface Box {
  readonly left: number;
  readonly top: number;
  readonly columns: number;
  readonly rows: number;
}

/** Points of a row across the width of a thread. */
const FINE = 8;
/** Points to each side that a line is smoothed over: cells leave it ragged. */
const SMOOTH = 2;

/** A closed line as points evenly apart. */
function even(ring: readonly Point[], wanted: Mm): { readonly points: readonly Point[]; readonly step: Mm } {
  const lengths = ring.map((p, k) => {
    const q = ring[(k + 1) % ring.length] as Point;
    return Math.hypot(q[0] - p[0], q[1] - p[1]);
  });
  const whole = lengths.reduce((a, b) => a + b, 0);
  const count = Math.max(3, Math.round(whole / wanted));
  const step = whole / count;
  const points: Point[] = [];
  let [k, gone] = [0, 0];
  for (let n = 0; n < count; n++) {
    const at = n * step;
    while (k < ring.length - 1 && gone + (lengths[k] as number) < at) gone += lengths[k++] as number;
    const t = (at - gone) / Math.max(1e-9, lengths[k] as number);
    const [p, q] = [ring[k] as Point, ring[(k + 1) % ring.length] as Point];
    points.push([p[0] + t * (q[0] - p[0]), p[1] + t * (q[1] - p[1])]);
  }
  return { points, step };
}

/** A closed line without the corners that cells left in it. */
function smooth(points: readonly Point[]): Point[] {
  const n = points.length;
  return points.map((_, k) => {
    let [x, y] = [0, 0];
    for (let d = -SMOOTH; d <= SMOOTH; d++) {
      const [px, py] = points[(k + d + n) % n] as Point;
      x += px;
      y += py;
    }
    return [x / (2 * SMOOTH + 1), y / (2 * SMOOTH + 1)];
  });
}

/** The light under a thread at each point of a row: in its middle, and to both sides of it. */
function lightUnder({ columns, rows, cell, light }: Grid, points: readonly Point[], width: Mm): Float32Array {
  const found = new Float32Array(3 * points.length);
  points.forEach(([x, y], k) => {
    const [nx, ny] = normalAt(points, k);
    for (const off of [-0.3 * width, 0, 0.3 * width]) {
      const i = Math.min(columns - 1, Math.max(0, Math.floor((x + nx * off) / cell)));
      const j = Math.min(rows - 1, Math.max(0, Math.floor((y + ny * off) / cell)));
      for (let c = 0; c < 3; c++)
        found[3 * k + c] = (found[3 * k + c] as number) + (light[3 * (j * columns + i) + c] ?? 0) / 3;
    }
  });
  return found;
}

/** Across a closed line at one of its points: a unit vector. */
export function normalAt(points: readonly Point[], k: number): Point {
  const n = points.length;
  const [p, q] = [points[(k - 1 + n) % n] as Point, points[(k + 1) % n] as Point];
  const [x, y] = [q[0] - p[0], q[1] - p[1]];
  const length = Math.hypot(x, y) || 1;
  return [-y / length, x / length];
}

/**
 * Rows of a thread along the edge of an area: level curves of how far each place is from it, a width apart.
 * @param far mm of every cell of the box from the edge @param gap mm between tesserae
 * @returns from the edge inwards
 */
export function rowsAlong(grid: Grid, box: Box, far: Float64Array, diameter: Mm, gap: Mm): readonly Row[] {
  const most = far.reduce((a, b) => Math.max(a, b), 0);
  const levels: Mm[] = [];
  for (let level = (diameter + gap) / 2; level <= most; level += diameter + gap) levels.push(level);
  if (levels.length === 0) return [];
  const heights = Array.from(far);
  const lines = contours().size([box.columns, box.rows]).smooth(true);
  return levels.flatMap((level) =>
    lines
      .contour(heights, level)
      .coordinates.flatMap((polygon) => polygon)
      .map((ring): Row => {
        const placed = ring
          .slice(0, -1)
          .map(([x = 0, y = 0]): Point => [(x + box.left) * grid.cell, (y + box.top) * grid.cell]);
        const first = even(placed, diameter / FINE);
        const points = smooth(first.points);
        return { points, step: first.step, light: lightUnder(grid, points, diameter) };
      }),
  );
}
