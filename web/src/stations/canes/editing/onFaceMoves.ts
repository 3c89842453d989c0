import { beyond, reachOf, stretchOf, type Extent, type Outline, type Point } from '#core/cane';

/** Directions are said to a degree. */
const TURN = 360;
/** A stretch is at least so many degrees. */
const LEAST = 2;

/** Degrees from the middle to a place, whole ones, −180 to 180, counterclockwise from the right. */
export const angleAt = (x: number, y: number): number => Math.round((Math.atan2(y, x) * 180) / Math.PI) + 0;

/** A place on the face, mm about its middle, under a point of the screen. */
export function placeAt(
  { left, top, width, height }: Pick<DOMRect, 'left' | 'top' | 'width' | 'height'>,
  box: Extent,
  x: number,
  y: number,
): Point {
  return [box.left + ((x - left) / width) * box.width, box.top - ((y - top) / height) * box.height];
}

/** The outline from one direction to another; from all around where they meet. */
export function arcOf(outline: Outline, from: number, to: number): readonly Point[] {
  const far = (((to - from) % TURN) + TURN) % TURN;
  if (far < LEAST || far > TURN - LEAST) return [];
  const { points, along } = stretchOf(outline, from, to);
  return points.filter((_, i) => along[i] !== null);
}

/** The point of an outline in a direction. */
export function reachAt(outline: Outline, degrees: number): Point {
  const [c, s] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
  const inside = beyond(reachOf(outline), c, s);
  return [c / inside, s / inside];
}
