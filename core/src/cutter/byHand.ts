import { extentOf, isInside, mirrored, turned, type Point } from '#core/outline';
import type { Mm, Mm2 } from '#core/units';
import { cutterArea, cutterOutline, type Cutter } from './cutter.js';
import type { Layout } from './layout.js';
import { complaint } from './sentences.js';

/** Where somebody put a cutter: its middle, mm from the lower left corner of what is left, and how far it is turned. */
export interface HandPlace {
  readonly x: Mm;
  readonly y: Mm;
  readonly degrees: number;
  /** the cutter lies with its other side up, for the left one of a pair; left out: it does not */
  readonly flip?: boolean | undefined;
}

/** The edge of a piece as it lies. */
export function outlineAt(cutter: Cutter, { x, y, degrees, flip = false }: HandPlace): Point[] {
  const own = { points: cutterOutline(cutter), round: false };
  const { points } = turned(flip ? mirrored(own) : own, degrees);
  return points.map(([px, py]): Point => [px + x, py + y]);
}

const cross = ([ax, ay]: Point, [bx, by]: Point, [cx, cy]: Point): number =>
  (bx - ax) * (cy - ay) - (by - ay) * (cx - ax);

function edgesCross(one: readonly Point[], other: readonly Point[]): boolean {
  return one.some((a, i) => {
    const b = one[(i + 1) % one.length] as Point;
    return other.some((c, k) => {
      const d = other[(k + 1) % other.length] as Point;
      return cross(a, b, c) * cross(a, b, d) < 0 && cross(c, d, a) * cross(c, d, b) < 0;
    });
  });
}

/** The middle of a closed line's corners: inside of all shapes that a cutter has in practice. */
const middleOf = (line: readonly Point[]): Point => [
  line.reduce((sum, p) => sum + p[0], 0) / line.length,
  line.reduce((sum, p) => sum + p[1], 0) / line.length,
];

/** Whether two pieces lie on each other; where they only touch they do not. */
export function onEachOther(one: readonly Point[], other: readonly Point[]): boolean {
  return edgesCross(one, other) || isInside(middleOf(one), other) || isInside(middleOf(other), one);
}

const HAIR = 1e-6;

/** What pieces are put on: mm. */
export interface HandGround {
  readonly width: Mm;
  readonly length: Mm;
  readonly bridge: Mm;
  /** as round as its sides allow; left out: with corners */
  readonly round?: boolean;
}

/** Whether some points lie beyond the edge of a sheet. */
function outside(points: readonly Point[], { width, length, round = false }: HandGround): boolean {
  if (round) return points.some(([x, y]) => Math.hypot((2 * x) / width - 1, (2 * y) / length - 1) > 1 + HAIR);
  const { left, right, bottom, top } = extentOf({ points, round: false });
  return left < -HAIR || right > width + HAIR || bottom < -HAIR || top > length + HAIR;
}

/** mm² of a sheet below a height. */
function areaBelow({ width, length, round = false }: HandGround, height: Mm): Mm2 {
  if (!round) return width * height;
  const t = Math.min(1, Math.max(-1, (2 * height) / length - 1));
  return ((width * length) / 4) * (Math.asin(t) + t * Math.sqrt(1 - t * t) + Math.PI / 2);
}

/**
 * Pieces where somebody put them, as a layout: all that is below the highest of them is used up.
 * @param sheet what is left, mm
 * @throws Complaint `cutter/outside`, `cutter/overlap` with the number of the piece
 */
export function handLayout(cutter: Cutter, places: readonly HandPlace[], sheet: HandGround): Layout {
  const outlines = places.map((place) => outlineAt(cutter, place));
  let top = 0;
  outlines.forEach((outline, i) => {
    if (outside(outline, sheet)) throw complaint('cutter/outside', { which: i + 1 });
    const { top: high } = extentOf({ points: outline, round: false });
    const under = outlines.slice(0, i).findIndex((other) => onEachOther(outline, other));
    if (under >= 0) throw complaint('cutter/overlap', { which: i + 1, other: under + 1 });
    top = Math.max(top, high);
  });
  const length = Math.min(sheet.length, top + sheet.bridge);
  const area = areaBelow(sheet, length);
  return {
    ...{ pattern: 'hand', turned: false, width: sheet.width, length, perSheet: places.length, sheets: 1 },
    centres: Float64Array.from(places.flatMap(({ x, y }) => [x, y])),
    turns: Float64Array.from(places.map((p) => p.degrees)),
    flips: Float64Array.from(places.map((p) => (p.flip === true ? 1 : 0))),
    scrap: area > 0 ? 1 - (places.length * cutterArea(cutter)) / area : 0,
    ...(sheet.round === true ? { area } : {}),
  };
}
