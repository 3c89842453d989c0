import { Fraction } from '#core/units';

/** Most parts of a found mix, and the smallest share: halves. */
export const MOST_PARTS = 8;
export const MOST_UNITS = MOST_PARTS * 2;

/** Whole units without a common divisor; at most 16 of them, so that with halves they are at most 8 parts. */
export type Ratio = readonly number[];

const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));
export const unitsOf = (ratio: Ratio): number => ratio.reduce((sum, n) => sum + n, 0);

/** Units as parts that people lay down: whole ones, or halves where whole ones would be more than eight. */
export function partsOf(ratio: Ratio): Fraction[] {
  const size = unitsOf(ratio) > MOST_PARTS ? 2 : 1;
  return ratio.map((n) => new Fraction(n, size));
}

/** Every ratio of `clays` clays, simplest first. */
export function ratios(clays: 1 | 2 | 3): Ratio[] {
  if (clays === 1) return [[1]];
  const found: Ratio[] = [];
  for (let a = 1; a < MOST_UNITS; a++)
    for (let b = 1; a + b <= MOST_UNITS; b++) {
      if (clays === 2) {
        if (gcd(a, b) === 1) found.push([a, b]);
        continue;
      }
      for (let c = 1; a + b + c <= MOST_UNITS; c++) if (gcd(gcd(a, b), c) === 1) found.push([a, b, c]);
    }
  return found.sort((x, y) => unitsOf(x) - unitsOf(y));
}

/** Pieces of a side of the triangle of volume shares. */
const GRID = 8;

/** Shares of three clays, in eighths: a corner of a cell. */
export type Corner = readonly [number, number, number];

/** A triangle of the triangle of volume shares. Only the smallest hold ratios of their own. */
export interface Cell {
  /** places in `CORNERS` */
  readonly corners: readonly [number, number, number];
  readonly children: readonly Cell[];
  readonly ratios: readonly Ratio[];
}

/** Every corner of the grid. */
export const CORNERS: readonly Corner[] = Array.from({ length: GRID + 1 }, (_, i) =>
  Array.from({ length: GRID + 1 - i }, (__, j): Corner => [i, j, GRID - i - j]),
).flat();

const placeOf = (corner: Corner): number => CORNERS.findIndex((c) => c.every((n, i) => n === corner[i]));
const halfWay = (p: Corner, q: Corner): Corner => [(p[0] + q[0]) / 2, (p[1] + q[1]) / 2, (p[2] + q[2]) / 2];

/** Whether a point lies in a triangle whose sides run along the grid: between the least and the most of each share. */
const holds = (corners: readonly Corner[], ratio: Ratio): boolean => {
  const total = unitsOf(ratio);
  return ratio.every((n, i) => {
    const shares = corners.map((c) => c[i] ?? 0);
    return n * GRID >= Math.min(...shares) * total && n * GRID <= Math.max(...shares) * total;
  });
};

/** A triangle with all below it; a ratio on the line between two belongs to the first. */
function cellOf(corners: readonly [Corner, Corner, Corner], own: readonly Ratio[], size: number): Cell {
  const places: [number, number, number] = [placeOf(corners[0]), placeOf(corners[1]), placeOf(corners[2])];
  if (size === 1) return { corners: places, children: [], ratios: own };
  const [p, q, r] = corners;
  const [pq, qr, rp] = [halfWay(p, q), halfWay(q, r), halfWay(r, p)];
  let rest = own;
  const children = (
    [
      [p, pq, rp],
      [pq, q, qr],
      [rp, qr, r],
      [pq, qr, rp],
    ] as const
  ).flatMap((inner) => {
    const inside = rest.filter((ratio) => holds(inner, ratio));
    rest = rest.filter((ratio) => !inside.includes(ratio));
    return inside.length === 0 ? [] : [cellOf([...inner], inside, size / 2)];
  });
  return { corners: places, children, ratios: [] };
}

/** The whole triangle, cut in four, three times. */
export const WHOLE: Cell = cellOf(
  [
    [GRID, 0, 0],
    [0, GRID, 0],
    [0, 0, GRID],
  ],
  ratios(3),
  GRID,
);

/** A stretch of the edge between two clays, with all below it: a triangle two of whose corners are one. */
function edgeOf(from: Corner, to: Corner, own: readonly Ratio[], size: number): Cell {
  const corners = [placeOf(from), placeOf(to), placeOf(to)] as const;
  if (size === 1) return { corners, children: [], ratios: own };
  const middle = halfWay(from, to);
  const near = own.filter((ratio) => holds([from, middle], ratio));
  const far = own.filter((ratio) => !near.includes(ratio));
  return { corners, children: [edgeOf(from, middle, near, size / 2), edgeOf(middle, to, far, size / 2)], ratios: [] };
}

/** The edge between two clays, halved three times. */
export const EDGE: Cell = edgeOf([GRID, 0, 0], [0, GRID, 0], ratios(2), GRID);
