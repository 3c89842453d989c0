import type { Mm } from '#core/units';
import { extentOf, type Outline, type Point } from '#core/outline';

/** A straight side of a face, counterclockwise. */
export interface Side {
  readonly from: Point;
  readonly to: Point;
  readonly length: Mm;
  /** degrees in which it looks outwards, from 0 to below 360, counterclockwise from the right */
  readonly outwards: number;
}

/** Edges that differ less than this in direction, in degrees, are one side. */
const STRAIGHT = 0.5;
/** A corner with less than this within, in degrees, is one that a hand feels. */
const FELT = 150;
const UP = 90;

const whole = (degrees: number): number => ((degrees % 360) + 360) % 360;
/** The direction of a place from the middle, degrees counterclockwise from the right, from 0 to below 360. */
export const degreesOf = (dx: number, dy: number): number => whole((Math.atan2(dy, dx) * 180) / Math.PI);
/** How far two directions lie apart, 0 to 180 degrees. */
export function directionsApart(one: number, other: number): number {
  const off = whole(one - other);
  return Math.min(off, 360 - off);
}

function sideOf(from: Point, to: Point): Side {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  return { from, to, length: Math.hypot(dx, dy), outwards: degreesOf(dy, -dx) };
}

/** The sides of an outline: edges that run on in one direction are one; the first begins at a corner. */
export function sidesOf({ points }: Outline): readonly Side[] {
  const edges = points
    .map((p, i) => sideOf(p, points[(i + 1) % points.length] as Point))
    .filter((edge) => edge.length > 0);
  const corner = edges.findIndex((edge, i) => {
    const before = edges.at(i - 1) as Side;
    return directionsApart(before.outwards, edge.outwards) > STRAIGHT;
  });
  const inOrder = [...edges.slice(Math.max(0, corner)), ...edges.slice(0, Math.max(0, corner))];
  const sides: Side[] = [];
  for (const edge of inOrder) {
    const last = sides.at(-1);
    if (last && directionsApart(last.outwards, edge.outwards) <= STRAIGHT)
      sides[sides.length - 1] = sideOf(last.from, edge.to);
    else sides.push(edge);
  }
  return sides;
}

/** A side is long enough to lay something along from this share of the height of the face on. */
export const LONG_ENOUGH = 0.05;

/**
 * The side that looks most in a direction, of those that are long enough to lay something along.
 * @returns null where there is none
 */
export function sideTowards(outline: Outline, degrees: number): Side | null {
  const least = LONG_ENOUGH * extentOf(outline).height;
  const sides = sidesOf(outline).filter((side) => side.length >= least);
  const [nearest] = sides.sort(
    (a, b) => directionsApart(a.outwards, degrees) - directionsApart(b.outwards, degrees) || b.length - a.length,
  );
  return nearest ?? null;
}

/** Corners that a hand feels, counterclockwise. */
export function cornersOf(outline: Outline): readonly Point[] {
  const sides = sidesOf(outline);
  return sides.flatMap((side, i) => {
    const before = sides.at(i - 1) as Side;
    const turnsLeft = whole(side.outwards - before.outwards) < 180;
    const within = 180 - directionsApart(before.outwards, side.outwards);
    return turnsLeft && within <= FELT ? [side.from] : [];
  });
}

/**
 * Degrees in which the tip of a piece lies from its middle: the corner between the two longest straight sides, the
 * sharper one of those that are alike, else what lies on top. A quarter of a round has its tip where the middle of
 * the round was.
 */
export function tipOf(outline: Outline): number {
  const sides = sidesOf(outline);
  let [tip, best, least] = [UP, 0, Infinity];
  sides.forEach((side, i) => {
    const before = sides.at(i - 1) as Side;
    const within = 180 - directionsApart(before.outwards, side.outwards);
    const turnsLeft = whole(side.outwards - before.outwards) < 180;
    if (!turnsLeft || within > FELT) return;
    const long = Math.min(before.length, side.length);
    const alike = Math.abs(long / best - 1) < ALIKE;
    const better = alike ? within < least - STRAIGHT : long > best;
    if (!better) return;
    [tip, best, least] = [degreesOf(side.from[0], side.from[1]), long, within];
  });
  return tip;
}
/** Sides that differ by less than this share are as long. */
const ALIKE = 0.01;
