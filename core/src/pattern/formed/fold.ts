import { clipped, isInside, signedArea, type Point } from '#core/outline';

/** Where a place of the flat sheet lies by now: x' = a·x + c·y + e, y' = b·x + d·y + f. */
export type Lay = readonly [a: number, b: number, c: number, d: number, e: number, f: number];

/** A part of the sheet that lies flat: its corners, whether its face is up, and how it came there. */
export interface Leaf {
  readonly points: readonly Point[];
  readonly up: boolean;
  readonly lay: Lay;
}

/** A straight line, by a place on it and the direction along it; what lies to its left is folded. */
export interface Crease {
  readonly x: number;
  readonly y: number;
  readonly degrees: number;
  /** folded over onto the top, or under it */
  readonly way: 'over' | 'under';
}

/** A folded sheet: from below to above. */
export type Folded = readonly Leaf[];

const SQUARE: readonly Point[] = [
  [-0.5, -0.5],
  [0.5, -0.5],
  [0.5, 0.5],
  [-0.5, 0.5],
];

/** A square sheet with sides of 1, its middle at the origin, its face up. */
export const flatSquare: Folded = [{ points: SQUARE, up: true, lay: [1, 0, 0, 1, 0, 0] }];

/** The mirror image in a line a·x + b·y = c, a and b of length 1. */
const mirror =
  (a: number, b: number, c: number) =>
  ([x, y]: Point): Point => {
    const off = 2 * (a * x + b * y - c);
    return [x - off * a, y - off * b];
  };

/** A leaf moved by a mirror: its places go where their mirror images are. */
function mirrored({ points, up, lay }: Leaf, image: (p: Point) => Point): Leaf {
  const [a, b, c, d, e, f] = lay;
  const origin = image([e, f]);
  const [right, above] = [image([a + e, b + f]), image([c + e, d + f])];
  return {
    // a mirror turns the way around
    points: [...points].reverse().map(image),
    up: !up,
    lay: [right[0] - origin[0], right[1] - origin[1], above[0] - origin[0], above[1] - origin[1], ...origin],
  };
}

/** Corners nearer than this to each other enclose nothing. */
const HAIR = 5e-10;
const isThere = ({ points }: Leaf): boolean => points.length > 2 && Math.abs(signedArea(points)) > HAIR;

/** What one fold does: what stays, and what comes to lie elsewhere. */
export interface FoldDone {
  readonly after: Folded;
  /** as they lie after it, from below to above */
  readonly moved: Folded;
  /** how far what is folded reaches from its crease */
  readonly flap: number;
}

/** A fold along a crease: all leaves on its left at once. */
export function foldedAlong(sheet: Folded, { x, y, degrees, way }: Crease): FoldDone {
  const turn = (degrees * Math.PI) / 180;
  // to the left of the line: a·x + b·y > c
  const [a, b] = [-Math.sin(turn), Math.cos(turn)];
  const c = a * x + b * y;
  const image = mirror(a, b, c);
  const stays = sheet.map((leaf) => ({ ...leaf, points: clipped(leaf.points, a, b, c) })).filter(isThere);
  const goes = sheet.map((leaf) => ({ ...leaf, points: clipped(leaf.points, -a, -b, -c) })).filter(isThere);
  // what lay on top comes to lie nearest to what it is folded onto
  const moved = [...goes].reverse().map((leaf) => mirrored(leaf, image));
  const flap = Math.max(0, ...goes.flatMap((leaf) => leaf.points.map(([px, py]) => a * px + b * py - c)));
  return { after: way === 'over' ? [...stays, ...moved] : [...moved, ...stays], moved, flap };
}

/** The sheet turned over, its right side to the left. */
export const turnedOver = (sheet: Folded): Folded =>
  [...sheet].reverse().map((leaf) => mirrored(leaf, ([x, y]) => [-x, y]));

/** Places a side at which layers are counted, beside the lines that creases lie on. */
const [LOOKS, BESIDE_X, BESIDE_Y] = [48, 0.371, 0.613];

/** How many layers lie on each other at the most. */
export function mostLayers(sheet: Folded): number {
  const { left, bottom, width, height } = sizeOf(sheet);
  let most = 0;
  for (let j = 0; j < LOOKS; j++)
    for (let i = 0; i < LOOKS; i++) {
      const [x, y] = [left + ((i + BESIDE_X) / LOOKS) * width, bottom + ((j + BESIDE_Y) / LOOKS) * height];
      most = Math.max(most, sheet.filter(({ points }) => isInside([x, y], points)).length);
    }
  return most;
}

interface Box {
  readonly left: number;
  readonly bottom: number;
  readonly width: number;
  readonly height: number;
}

/** The box around what is folded. */
export function sizeOf(sheet: Folded): Box {
  const all = sheet.flatMap(({ points }) => points);
  const [xs, ys] = [all.map((p) => p[0]), all.map((p) => p[1])];
  const [left, bottom] = [Math.min(...xs), Math.min(...ys)];
  return { left, bottom, width: Math.max(...xs) - left, height: Math.max(...ys) - bottom };
}
