import type { Mm } from '#core/units';
import { diameterOf, type Outline, type Point } from '#core/outline';

interface Box {
  readonly long: Mm;
  readonly short: Mm;
}

/** Directions in which a box is tried at most. */
const MOST_TRIED = 360;

/** The corners of a face without those that lie in its bays, counterclockwise (A. M. Andrew, 1979). */
function hullOf(points: readonly Point[]): Point[] {
  const sorted = [...points].sort((p, q) => p[0] - q[0] || p[1] - q[1]);
  const half = (list: readonly Point[]): Point[] => {
    const chain: Point[] = [];
    for (const p of list) {
      while (chain.length > 1 && !leftOf(chain.at(-2) as Point, chain.at(-1) as Point, p)) chain.pop();
      chain.push(p);
    }
    return chain.slice(0, -1);
  };
  return [...half(sorted), ...half(sorted.reverse())];
}
const leftOf = (a: Point, b: Point, p: Point): boolean =>
  (b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]) > 0;

/** The smallest box around a face, turned as it needs be: along one of its edges (H. Freeman and R. Shapira, 1975). */
function boxAround(outline: Outline): Box {
  const points = hullOf(outline.points);
  const every = Math.ceil(points.length / MOST_TRIED);
  let least: Box = { long: Infinity, short: Infinity };
  points.forEach((p, i) => {
    const q = points[(i + 1) % points.length] as Point;
    const length = Math.hypot(q[0] - p[0], q[1] - p[1]);
    if (length < 1e-9 || i % every !== 0) return;
    const [c, s] = [(q[0] - p[0]) / length, (q[1] - p[1]) / length];
    const along = points.map(([x, y]) => x * c + y * s);
    const up = points.map(([x, y]) => y * c - x * s);
    const [width, height] = [Math.max(...along) - Math.min(...along), Math.max(...up) - Math.min(...up)];
    if (width * height < least.long * least.short * (1 - 1e-9))
      least = { long: Math.max(width, height), short: Math.min(width, height) };
  });
  return least;
}

/** Sides that are equal to a thousandth, as of a square or a hexagon. */
function regular({ points }: Outline): boolean {
  const sides = points.map((p, i) => {
    const q = points[(i + 1) % points.length] as Point;
    return Math.hypot(q[0] - p[0], q[1] - p[1]);
  });
  return points.length % 2 === 0 && Math.max(...sides) < 1.001 * Math.min(...sides);
}

/** Corners from which on an outline is a curve. */
const CURVED = 24;

/**
 * How thick a cane is, as a ruler or calipers say it: the diameter of a round
 * one, the side of a square, a hexagon across its flats, and of any other
 * shape the longer side of the box it fits into.
 */
export function acrossOf(outline: Outline): Mm {
  if (outline.round) return diameterOf(outline);
  const { long, short } = boxAround(outline);
  const flats = outline.points.length < CURVED && regular(outline);
  return flats ? short : long;
}
