import { signedArea, type Point } from '#core/outline';
import type { Mm, Mm2 } from '#core/units';

/** A shape without corners that point inwards. */
export type Convex = readonly Point[];

export const areaOfConvex = (points: Convex): Mm2 => Math.abs(signedArea(points));

export function middleOf(points: Convex): Point {
  const [x, y] = points.reduce<Point>(([u, v], [px, py]) => [u + px, v + py], [0, 0]);
  return [x / points.length, y / points.length];
}

/** A straight cut: through a point, what is kept lies against the normal. */
export interface Line {
  readonly at: Point;
  readonly normal: Point;
}

const beyond = ({ at, normal }: Line, [x, y]: Point): Mm => (x - at[0]) * normal[0] + (y - at[1]) * normal[1];

/** What lies on the near side of a line, perhaps so far from it (I. Sutherland and G. Hodgman, 1974). */
export function keptBy(points: Convex, line: Line, apart: Mm = 0): Point[] {
  const kept: Point[] = [];
  points.forEach((p, k) => {
    const q = points[(k + 1) % points.length] as Point;
    const [here, there] = [beyond(line, p) + apart, beyond(line, q) + apart];
    if (here <= 0) kept.push(p);
    if (here < 0 !== there < 0 && here !== there) {
      const t = here / (here - there);
      kept.push([p[0] + t * (q[0] - p[0]), p[1] + t * (q[1] - p[1])]);
    }
  });
  return kept.length < 3 ? [] : kept;
}

/** The sides of a shape as lines, their normals outwards: unit vectors. */
export function sidesOf(points: Convex): readonly Line[] {
  const sign = Math.sign(signedArea(points));
  return points.map((p, k) => {
    const q = points[(k + 1) % points.length] as Point;
    const [x, y] = [q[0] - p[0], q[1] - p[1]];
    const length = Math.hypot(x, y) || 1;
    return { at: p, normal: [(sign * y) / length, (-sign * x) / length] };
  });
}

/** What two shapes have in common. */
export function common(one: Convex, other: Convex): Convex {
  let rest: Convex = one;
  for (const side of sidesOf(other)) {
    if (rest.length === 0) break;
    rest = keptBy(rest, side);
  }
  return rest;
}

/** The line that two overlapping shapes are both cut along: where their edges cross. Its normal points to the other. */
export function mitre(one: Convex, other: Convex, shared: Convex): Line {
  let [a, b, most] = [shared[0] as Point, shared[0] as Point, -1];
  for (const p of shared)
    for (const q of shared) {
      const far = (p[0] - q[0]) ** 2 + (p[1] - q[1]) ** 2;
      if (far > most) [a, b, most] = [p, q, far];
    }
  const length = Math.sqrt(most) || 1;
  const normal: Point = [(b[1] - a[1]) / length, -(b[0] - a[0]) / length];
  const [from, to] = [middleOf(one), middleOf(other)];
  const towards = (to[0] - from[0]) * normal[0] + (to[1] - from[1]) * normal[1];
  return { at: a, normal: towards >= 0 ? normal : [-normal[0], -normal[1]] };
}

export const opposite = ({ at, normal }: Line): Line => ({ at, normal: [-normal[0], -normal[1]] });

/** A shape a little larger, about its middle. @param by mm on the middle */
export function grown(points: Convex, by: Mm): Convex {
  const [x, y] = middleOf(points);
  const scale = 1 + (2 * by) / Math.max(by, Math.sqrt(areaOfConvex(points)));
  return points.map(([px, py]): Point => [x + (px - x) * scale, y + (py - y) * scale]);
}

/** A shape with one of its sides moved outwards; those beside it grow along. */
export function sideMoved(points: Convex, side: number, by: Mm): Convex {
  const lines = sidesOf(points);
  const { at, normal } = lines[side] as Line;
  const moved: Line = { at: [at[0] + by * normal[0], at[1] + by * normal[1]], normal };
  const [x, y] = middleOf(points);
  const far =
    4 * (by + Math.sqrt(areaOfConvex(points))) + Math.max(...points.map((p) => Math.hypot(p[0] - x, p[1] - y)));
  const box: Convex = [
    [x - far, y - far],
    [x + far, y - far],
    [x + far, y + far],
    [x - far, y + far],
  ];
  return lines.reduce<Convex>(
    (rest, line, k) => (rest.length < 3 ? rest : keptBy(rest, k === side ? moved : line)),
    box,
  );
}

/** A circle about a shape. */
export interface Round {
  readonly x: Mm;
  readonly y: Mm;
  readonly radius: Mm;
}
const rounds = new WeakMap<Convex, Round>();

/** The circle about a shape, worked out once. */
export function roundOf(points: Convex): Round {
  const known = rounds.get(points);
  if (known) return known;
  const [x, y] = middleOf(points);
  const found = { x, y, radius: Math.sqrt(Math.max(...points.map((p) => (p[0] - x) ** 2 + (p[1] - y) ** 2))) };
  rounds.set(points, found);
  return found;
}
