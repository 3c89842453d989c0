import type { Mm } from '#core/units';
import { perimeterOf, type Outline, type Point } from '#core/outline';
import { complaint } from './sentences.js';

/** An outline in short steps along one stretch of it. */
export interface Stretch {
  readonly points: readonly Point[];
  /** mm from the beginning of the stretch, of each point; null: it lies outside */
  readonly along: readonly (Mm | null)[];
  readonly long: Mm;
}

/** Steps around the whole outline, and in a stretch at the least. */
const [AROUND, FEWEST] = [240, 24];
/** A stretch shorter than this share of the outline is none, and so is one that leaves no more. */
const LEAST = 0.005;

/** A place on an outline: along which edge, and how far along it as a share. */
interface Place {
  readonly edge: number;
  readonly share: number;
  readonly point: Point;
}

/** Where a direction about the middle meets the outline. @throws Complaint `cane/star` */
function placeTowards({ points }: Outline, degrees: number): Place {
  const [c, s] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
  for (const [edge, p] of points.entries()) {
    const q = points[(edge + 1) % points.length] as Point;
    const [one, two] = [c * p[1] - s * p[0], c * q[1] - s * q[0]];
    // counterclockwise, it is crossed from the right of the ray to its left
    if (!(one <= 0 && two > 0)) continue;
    const share = one / (one - two);
    const point: Point = [p[0] + (q[0] - p[0]) * share, p[1] + (q[1] - p[1]) * share];
    if (point[0] * c + point[1] * s > 0) return { edge, share, point };
  }
  throw complaint('cane/star');
}

/** The points between two places, counterclockwise, without their own. */
function between({ points }: Outline, from: Place, to: Place): Point[] {
  const same = from.edge === to.edge && from.share <= to.share;
  const edges = same ? 0 : (to.edge - from.edge + points.length) % points.length || points.length;
  return Array.from({ length: edges }, (_, i) => points[(from.edge + 1 + i) % points.length] as Point);
}

/** A line in steps of at most so many mm; its corners stay. */
function inSteps(line: readonly Point[], step: Mm): Point[] {
  return line.flatMap((p, i) => {
    const q = line[i + 1];
    if (!q) return [p];
    const count = Math.max(1, Math.ceil(Math.hypot(q[0] - p[0], q[1] - p[1]) / step));
    return Array.from({ length: count }, (_, k): Point => [
      p[0] + ((q[0] - p[0]) * k) / count,
      p[1] + ((q[1] - p[1]) * k) / count,
    ]);
  });
}

/** mm from the first point of a line to each of them. */
function alongOf(line: readonly Point[]): Mm[] {
  let sum = 0;
  return line.map((p, i) => {
    const before = line[i - 1] ?? p;
    sum += Math.hypot(p[0] - before[0], p[1] - before[1]);
    return sum;
  });
}

/**
 * The stretch of an outline from one direction about its middle to another, counterclockwise.
 * @throws Complaint `cane/stretch` where it is none or all of it, `cane/star`
 */
export function stretchOf(outline: Outline, from: number, to: number): Stretch {
  const [start, end] = [placeTowards(outline, from), placeTowards(outline, to)];
  const line = [start.point, ...between(outline, start, end), end.point];
  const whole = perimeterOf(outline);
  const long = alongOf(line).at(-1) ?? 0;
  if (long < LEAST * whole || long > (1 - LEAST) * whole) throw complaint('cane/stretch');
  const inside = inSteps(line, Math.min(whole / AROUND, long / FEWEST));
  const rest = between(outline, end, start);
  return { points: [...inside, ...rest], along: [...alongOf(inside), ...rest.map(() => null)], long };
}
