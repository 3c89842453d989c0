import { onEachOther } from '#core/cutter';
import { offset, outlineOf, type Point } from '#core/outline';
import type { Mm } from '#core/units';
import type { CutPlace } from './place.js';
import type { Seams } from '#core/pattern/steps';
import type { Lying } from './candidates.js';

/** The room that a piece takes: its edge grown by half a bridge, and the largest and smallest circles about it. */
export interface Edge {
  readonly points: readonly Point[];
  /** all of it lies within this circle about its middle, and all of the smaller one in it */
  readonly far: Mm;
  readonly near: Mm;
}

/** Corners that are enough of a curve, where there is a bridge that is wider than what they cut off. */
const ENOUGH = 40;
const ROUGH: Mm = 0.3;
/** Pieces that are laid exactly a bridge apart do not touch. */
const NEARLY = 0.96;

/** How far the origin is from a straight line between two points. */
function offLine([ax, ay]: Point, [bx, by]: Point): Mm {
  const [dx, dy] = [bx - ax, by - ay];
  const t = Math.min(1, Math.max(0, -(ax * dx + ay * dy) / (dx * dx + dy * dy || 1)));
  return Math.hypot(ax + t * dx, ay + t * dy);
}

/** A closed line about the origin, with half a bridge all around it. */
export function edgeWith(line: readonly Point[], bridge: Mm): Edge {
  let points = line;
  if (bridge > 0) {
    const { outline, moved } = outlineOf(line);
    const grown = offset(outline, (NEARLY * bridge) / 2).points;
    const every = bridge >= ROUGH ? Math.max(1, Math.round(grown.length / ENOUGH)) : 1;
    points = grown.filter((_, i) => i % every === 0).map(([x, y]): Point => [x + moved[0], y + moved[1]]);
  }
  const far = points.reduce((most, [x, y]) => Math.max(most, Math.hypot(x, y)), 0);
  const near = points.reduce(
    (least, p, i) => Math.min(least, offLine(p, points[(i + 1) % points.length] as Point)),
    far,
  );
  return { points, far, near };
}

const movedTo = ({ points }: Edge, { x, y }: CutPlace): readonly Point[] =>
  points.map(([px, py]): Point => [px + x, py + y]);

/** What lies on some sheets, and whether one more piece has room beside it. */
export class Room {
  private taken: { readonly place: CutPlace; readonly edge: Edge; readonly lies: readonly Point[] }[] = [];

  put(place: CutPlace, edge: Edge): void {
    this.taken.push({ place, edge, lies: movedTo(edge, place) });
  }

  takeAway(place: CutPlace): void {
    this.taken = this.taken.filter((t) => t.place !== place);
  }

  isFree(place: CutPlace, edge: Edge): boolean {
    let lies: readonly Point[] | null = null;
    for (const other of this.taken) {
      if (other.place.sheet !== place.sheet) continue;
      const apart = Math.hypot(other.place.x - place.x, other.place.y - place.y);
      if (apart >= other.edge.far + edge.far) continue;
      if (apart < (other.edge.near + edge.near) * NEARLY) return false;
      lies ??= movedTo(edge, place);
      if (onEachOther(other.lies, lies)) return false;
    }
    return true;
  }
}

/** A cutter as it lies, and the room that it takes. */
export interface Roomy {
  readonly lying: Lying;
  readonly edge: Edge;
}
export const roomy = (lying: Lying, bridge: Mm): Roomy => ({ lying, edge: edgeWith(lying.edge, bridge) });

/** A sheet, and whether a cutter that lies on it lies on it with all of its edge. */
export interface Plain {
  readonly width: Mm;
  readonly height: Mm;
  readonly round: boolean;
  /** where pieces of it meet; left out: it is of one piece */
  readonly seams?: Seams;
}

/** Whether a seam goes through a piece. */
export function isOverSeam({ seams }: Plain, { box }: Lying, x: Mm, y: Mm): boolean {
  if (!seams) return false;
  const across = seams.x.some((at) => at > x + box.left && at < x + box.right);
  return across || seams.y.some((at) => at > y + box.bottom && at < y + box.top);
}

export function liesOn({ width, height, round }: Plain, { edge, box }: Lying, x: Mm, y: Mm): boolean {
  if (x + box.left < 0 || x + box.right > width || y + box.bottom < 0 || y + box.top > height) return false;
  return !round || edge.every(([u, v]) => Math.hypot((2 * (x + u)) / width - 1, (2 * (y + v)) / height - 1) <= 1);
}
