import type { Point } from '#core/outline';
import type { Mm, Mm2 } from '#core/units';
import {
  areaOfConvex,
  common,
  grown,
  keptBy,
  mitre,
  opposite,
  roundOf,
  sideMoved,
  sidesOf,
  type Convex,
  type Line,
  type Round,
} from './convex.js';

/** A tessera where it lies. */
export interface Lying {
  points: Convex;
  /** mm² as it was cut from its thread */
  readonly whole: Mm2;
}

/** Two that share more than this of the smaller one are not both cut: the new one is fitted to the other. */
const MUCH = 0.2;
/** Less than so much of the smaller one is no overlap. */
const HARDLY = 0.002;
/** A tessera of which less than this is left is not cut at all. */
const LEAST_LEFT = 0.3;

const meets = (a: Round, b: Round): boolean => (a.x - b.x) ** 2 + (a.y - b.y) ** 2 < (a.radius + b.radius) ** 2;

const boundsOf = (points: Convex): readonly [Mm, Mm, Mm, Mm] => {
  const [xs, ys] = [points.map((p) => p[0]), points.map((p) => p[1])];
  return [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
};

/**
 * The largest part of a shape that lies beside another: beyond one of its sides.
 * @param holding a place that has to be in it
 */
function fitted(one: Convex, other: Convex, gap: Mm, holding: Point | null): Convex {
  let [best, most]: [Convex, Mm2] = [[], 0];
  for (const side of sidesOf(other)) {
    const line = opposite(side);
    if (holding && !holds(line, holding)) continue;
    const part = keptBy(one, line, gap);
    const area = areaOfConvex(part);
    if (area > most) [best, most] = [part, area];
  }
  return best;
}
const holds = ({ at, normal }: Line, [x, y]: Point): boolean => (x - at[0]) * normal[0] + (y - at[1]) * normal[1] <= 0;

/** What lies there already; each new one is fitted to it. */
export class Laid<T extends Lying> {
  private readonly cells = new Map<number, Set<T>>();
  private readonly all: T[] = [];

  /**
   * @param side mm of the squares that are looked through @param gap mm between two
   * @param within keeps a shape inside the bezel
   */
  constructor(
    private readonly side: Mm,
    private readonly gap: Mm,
    private readonly within: (points: Convex) => Convex,
  ) {}

  /** What lies there, in the order it was laid. */
  get lying(): readonly T[] {
    return this.all;
  }

  private keys(points: Convex): number[] {
    const [left, right, top, bottom] = boundsOf(points);
    const keys: number[] = [];
    for (let j = Math.floor(top / this.side); j <= Math.floor(bottom / this.side); j++)
      for (let i = Math.floor(left / this.side); i <= Math.floor(right / this.side); i++) keys.push(j * 65_536 + i);
    return keys;
  }

  private near(points: Convex): Set<T> {
    const found = new Set<T>();
    const own = roundOf(points);
    for (const key of this.keys(points))
      for (const other of this.cells.get(key) ?? []) if (meets(own, roundOf(other.points))) found.add(other);
    return found;
  }

  /** Remembers in which squares one lies; a square it has left does no harm. */
  private note(one: T): void {
    for (const key of this.keys(one.points)) {
      const cell = this.cells.get(key) ?? new Set();
      cell.add(one);
      this.cells.set(key, cell);
    }
  }

  private keep(one: T): void {
    this.note(one);
    this.all.push(one);
  }

  /**
   * Lays one more. Where it overlaps another a little, both are cut slantwise along the line on which they meet; where
   * it overlaps much, it alone is cut. Too little left: it is left out.
   */
  lay(one: T): boolean {
    one.points = this.within(one.points);
    const cuts: (readonly [T, Convex])[] = [];
    for (const other of this.near(one.points)) {
      if (one.points.length < 3) return false;
      const shared = common(one.points, other.points);
      const overlap = shared.length < 3 ? 0 : areaOfConvex(shared);
      const smaller = Math.min(areaOfConvex(one.points), areaOfConvex(other.points));
      if (overlap <= HARDLY * smaller) continue;
      const line = mitre(one.points, other.points, shared);
      const rest = keptBy(other.points, opposite(line), this.gap / 2);
      if (overlap > MUCH * smaller || areaOfConvex(rest) < (1 - MUCH) * areaOfConvex(other.points)) {
        one.points = fitted(one.points, other.points, this.gap, null);
        continue;
      }
      one.points = keptBy(one.points, line, this.gap / 2);
      cuts.push([other, rest]);
    }
    if (one.points.length < 3 || areaOfConvex(one.points) < LEAST_LEFT * one.whole) return false;
    for (const [other, rest] of cuts) other.points = rest;
    this.keep(one);
    return true;
  }

  /** Whether a shape lies within the bezel, and on nothing but itself. */
  private fits(one: T, points: Convex): boolean {
    const area = areaOfConvex(points);
    if (areaOfConvex(this.within(points)) < area * (1 - HARDLY)) return false;
    const roomy = grown(points, this.gap / 2);
    for (const other of this.near(roomy)) {
      if (other === one) continue;
      const shared = common(roomy, other.points);
      if (shared.length >= 3 && areaOfConvex(shared) > HARDLY * Math.min(area, areaOfConvex(other.points)))
        return false;
    }
    return true;
  }

  /** Presses a tessera until its sides meet those around it, each by so much at the most. */
  press(one: T, most: Mm): void {
    for (let side = 0; side < one.points.length; side++)
      for (const share of [1, 0.6, 0.3, 0.12]) {
        const wider = sideMoved(one.points, side, share * most);
        if (wider.length !== one.points.length || !this.fits(one, wider)) continue;
        one.points = wider;
        this.note(one);
        break;
      }
  }

  /** Lays a chip into a hole: cut to all that lies around it, about a place that is free. */
  fill(one: T, seed: Point): boolean {
    one.points = this.within(one.points);
    for (const other of this.near(one.points)) {
      if (one.points.length < 3) return false;
      const around = common(one.points, other.points);
      if (around.length >= 3) one.points = fitted(one.points, other.points, this.gap, seed);
    }
    if (one.points.length < 3) return false;
    this.keep(one);
    return true;
  }
}
