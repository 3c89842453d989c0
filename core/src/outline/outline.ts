import { type Mm, type Mm2 } from '#core/units';
import { complaint } from './sentences.js';

/** A point of a face, mm; x to the right, y up. */
export type Point = readonly [number, number];

/**
 * The edge of a face: a polygon, counterclockwise, with its centroid at the
 * origin. Round edges are polygons of many corners with exactly the area of
 * what they stand for.
 */
export interface Outline {
  readonly points: readonly Point[];
  readonly round: boolean;
}

/** Corners of a circle. */
const ROUND = 192;

/** Twice the signed area that is swept from one point to the next about the origin. */
const cross = ([ax, ay]: Point, [bx, by]: Point): number => ax * by - ay * bx;

/** Signed: counterclockwise is positive. */
export function signedArea(points: readonly Point[]): Mm2 {
  let sum = 0;
  for (let i = 0; i < points.length; i++) sum += cross(points[i] as Point, points[(i + 1) % points.length] as Point);
  return sum / 2;
}
export const areaOf = ({ points }: Outline): Mm2 => signedArea(points);

export function centroid(points: readonly Point[]): Point {
  let [x, y, area] = [0, 0, 0];
  for (let i = 0; i < points.length; i++) {
    const [p, q] = [points[i] as Point, points[(i + 1) % points.length] as Point];
    const c = cross(p, q);
    x += (p[0] + q[0]) * c;
    y += (p[1] + q[1]) * c;
    area += c;
  }
  return area === 0 ? [0, 0] : [x / (3 * area), y / (3 * area)];
}

/**
 * Any simple polygon as an outline: turned counterclockwise, moved so that its centroid is the origin.
 * @throws Complaint `cane/outline`
 */
export function outlineOf(
  points: readonly Point[],
  round = false,
): { readonly outline: Outline; readonly moved: Point } {
  const area = signedArea(points);
  if (points.length < 3 || !(Math.abs(area) > 1e-12) || !Number.isFinite(area)) throw complaint('cane/outline');
  const ccw = area > 0 ? points : [...points].reverse();
  const [cx, cy] = centroid(ccw);
  return { outline: { points: ccw.map(([x, y]): Point => [x - cx, y - cy]), round }, moved: [cx, cy] };
}

export const scaled = ({ points, round }: Outline, fx: number, fy = fx): Outline => ({
  round: round && fx === fy,
  points: points.map(([x, y]): Point => [x * fx, y * fy]),
});

export function turned({ points, round }: Outline, degrees: number): Outline {
  const [c, s] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
  return { round, points: points.map(([x, y]): Point => [x * c - y * s, x * s + y * c]) };
}

export const mirrored = ({ points, round }: Outline): Outline => ({
  round,
  points: [...points].reverse().map(([x, y]): Point => [-x, y]),
});

/** Whether a place lies inside a closed line: a ray from it crosses the line an odd number of times. */
export function isInside([x, y]: Point, line: readonly Point[]): boolean {
  let odd = false;
  line.forEach((p, i) => {
    const q = line[(i + 1) % line.length] as Point;
    if (p[1] > y !== q[1] > y && x < p[0] + ((y - p[1]) / (q[1] - p[1])) * (q[0] - p[0])) odd = !odd;
  });
  return odd;
}

export interface Extent {
  readonly left: Mm;
  readonly right: Mm;
  readonly bottom: Mm;
  readonly top: Mm;
  readonly width: Mm;
  readonly height: Mm;
}
export function extentOf({ points }: Outline): Extent {
  let [left, right, bottom, top] = [Infinity, -Infinity, Infinity, -Infinity];
  for (const [x, y] of points) {
    if (x < left) left = x;
    if (x > right) right = x;
    if (y < bottom) bottom = y;
    if (y > top) top = y;
  }
  return { left, right, bottom, top, width: right - left, height: top - bottom };
}

/** Diameter of the circle with the area of the face: what is meant by how thick a cane is. */
export const diameterOf = (outline: Outline): Mm => 2 * Math.sqrt(areaOf(outline) / Math.PI);

export function perimeterOf({ points }: Outline): Mm {
  return points.reduce((sum, p, i) => {
    const q = points[(i + 1) % points.length] as Point;
    return sum + Math.hypot(q[0] - p[0], q[1] - p[1]);
  }, 0);
}

/** A circle of exactly that area. */
export function circle(diameter: Mm): Outline {
  const step = (2 * Math.PI) / ROUND;
  const r = (diameter / 2) * Math.sqrt(step / Math.sin(step));
  return {
    round: true,
    points: Array.from({ length: ROUND }, (_, i): Point => [r * Math.cos(i * step), r * Math.sin(i * step)]),
  };
}

export const rectangle = (width: Mm, height: Mm): Outline => ({
  round: false,
  points: [
    [-width / 2, -height / 2],
    [width / 2, -height / 2],
    [width / 2, height / 2],
    [-width / 2, height / 2],
  ],
});

/** The part of a polygon where `a·x + b·y ≤ c` (I. E. Sutherland and G. W. Hodgman, 1974). */
export function clipped(points: readonly Point[], a: number, b: number, c: number): Point[] {
  const out: Point[] = [];
  for (let i = 0; i < points.length; i++) {
    const [p, q] = [points[i] as Point, points[(i + 1) % points.length] as Point];
    const [dp, dq] = [a * p[0] + b * p[1] - c, a * q[0] + b * q[1] - c];
    if (dp <= 0) out.push(p);
    if ((dp < 0 && dq > 0) || (dp > 0 && dq < 0)) {
      const t = dp / (dp - dq);
      out.push([p[0] + (q[0] - p[0]) * t, p[1] + (q[1] - p[1]) * t]);
    }
  }
  return out;
}

/** Corners sharper than this are cut off at so many times the thickness. */
const MITRE = 3;

/** Every edge moved outwards by a thickness, corners mitred: what a wrap makes of an outline. */
export function offset({ points, round }: Outline, thickness: Mm): Outline {
  const n = points.length;
  const moved = points.map((p, i): Point => {
    const [before, after] = [points[(i + n - 1) % n] as Point, points[(i + 1) % n] as Point];
    const one = normal(before, p);
    const two = normal(p, after);
    const [x, y] = [one[0] + two[0], one[1] + two[1]];
    const length = Math.hypot(x, y);
    if (length < 1e-9) return [p[0] + one[0] * thickness, p[1] + one[1] * thickness];
    // the mitre lies along the middle of both normals, 1 / cos of half their angle away
    const far = Math.min(MITRE, 2 / length);
    return [p[0] + (x / length) * thickness * far, p[1] + (y / length) * thickness * far];
  });
  return { points: moved, round };
}

/** Outward normal of the edge from p to q of a counterclockwise polygon. */
function normal(p: Point, q: Point): Point {
  const [dx, dy] = [q[0] - p[0], q[1] - p[1]];
  const length = Math.hypot(dx, dy) || 1;
  return [dy / length, -dx / length];
}
