import type { Point } from '#core/outline';
import { isInside } from '#core/outline';
import { keptBy, middleOf, type Convex, type Line } from './convex.js';

/** Cuts until a shape lies within: one for each corner that stuck out. */
const MOST_CUTS = 6;

/** The side of an edge that is nearest to a place, as a line with its normal outwards. */
function nearestSide(edge: readonly Point[], outwards: number, [x, y]: Point): Line {
  let [best, least]: [number, number] = [0, Infinity];
  edge.forEach((p, k) => {
    const q = edge[(k + 1) % edge.length] as Point;
    const [dx, dy] = [q[0] - p[0], q[1] - p[1]];
    const t = Math.min(1, Math.max(0, ((x - p[0]) * dx + (y - p[1]) * dy) / (dx * dx + dy * dy || 1)));
    const far = (p[0] + t * dx - x) ** 2 + (p[1] + t * dy - y) ** 2;
    if (far < least) [best, least] = [k, far];
  });
  const [p, q] = [edge[best] as Point, edge[(best + 1) % edge.length] as Point];
  const length = Math.hypot(q[0] - p[0], q[1] - p[1]) || 1;
  return { at: p, normal: [(outwards * (q[1] - p[1])) / length, (-outwards * (q[0] - p[0])) / length] };
}

/**
 * Keeps shapes inside an edge: what sticks out is cut along the side it sticks out at.
 * @param signed the area of the edge with its sign: it says which side is outside
 */
export function keptInside(edge: readonly Point[], signed: number): (points: Convex) => Convex {
  const outwards = Math.sign(signed);
  return (points) => {
    let rest = points;
    for (let cut = 0; cut < MOST_CUTS && rest.length >= 3; cut++) {
      const out = rest.find((p) => !isInside(inwards(p, rest), edge));
      if (!out) return rest;
      rest = keptBy(rest, nearestSide(edge, outwards, out), 0);
    }
    return rest;
  };
}

/** A hair from a corner towards the middle: corners lie on the edge they were cut along. */
function inwards([x, y]: Point, points: Convex): Point {
  const [u, v] = middleOf(points);
  return [x + (u - x) * 1e-3, y + (v - y) * 1e-3];
}
