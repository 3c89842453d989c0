import { packEnclose } from 'd3-hierarchy';
import { extentOf, turned, type Outline } from '#core/outline';
import type { Mm } from '#core/units';

/** A flat sheet: a rectangle, or round. */
export interface Ground {
  readonly width: Mm;
  readonly height: Mm;
  readonly round: boolean;
}

/** How large a shape goes into a sheet: so many times its size, turned, its middle there from that of the sheet. */
export interface Largest {
  readonly times: number;
  readonly degrees: number;
  readonly x: Mm;
  readonly y: Mm;
}

/** Degrees between the ways in which a shape is tried. */
const STEP = 0.5;

/** In a rectangle: as large as its box goes. */
function inRectangle(outline: Outline, { width, height }: Ground): Omit<Largest, 'degrees'> {
  const box = extentOf(outline);
  const times = Math.min(width / box.width, height / box.height);
  return { times, x: (-times * (box.left + box.right)) / 2, y: (-times * (box.bottom + box.top)) / 2 };
}

/** In a round sheet, seen as a circle of radius 1: as large as the smallest circle about it goes. */
function inRound({ points }: Outline, { width, height }: Ground): Omit<Largest, 'degrees'> {
  const about = packEnclose(points.map(([x, y]) => ({ x: (2 * x) / width, y: (2 * y) / height, r: 0 })));
  if (!(about.r > 0)) return { times: 0, x: 0, y: 0 };
  const times = 1 / about.r;
  return { times, x: (-times * about.x * width) / 2, y: (-times * about.y * height) / 2 };
}

/** Points that a curved edge is tried with in a round sheet. */
const ENOUGH = 90;
function thinned({ points, round }: Outline): Outline {
  const every = Math.max(1, Math.floor(points.length / ENOUGH));
  return { round, points: points.filter((_, i) => i % every === 0) };
}

/** The largest of a shape that can be cut of a sheet, turned as it goes best. */
export function largestIn(outline: Outline, ground: Ground): Largest {
  const tried = ground.round ? thinned(outline) : outline;
  let best: Largest = { times: 0, degrees: 0, x: 0, y: 0 };
  for (let degrees = 0; degrees < 180; degrees += STEP) {
    const way = turned(tried, degrees);
    const now = ground.round ? inRound(way, ground) : inRectangle(way, ground);
    if (now.times > best.times * (1 + 1e-9)) best = { ...now, degrees };
  }
  return best;
}
