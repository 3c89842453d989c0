import { labOfLinear } from '#core/colour';
import type { Point } from '#core/outline';
import type { Mm } from '#core/units';
import { areaOfConvex, middleOf, type Convex } from './convex.js';
import { normalAt, type Row } from './rows.js';

/** Threads, and how they are cut. */
export interface Threads {
  readonly diameter: Mm;
  /** of a tessera */
  readonly shortest: Mm;
  readonly longest: Mm;
  /** between two of them */
  readonly gap: Mm;
}

/** A tessera before anything lies beside it. */
export interface Cut {
  readonly points: Convex;
  readonly length: Mm;
}

/** A tessera follows its line within so much of a turn, and its picture within such a spread of colour (CIE76). */
const [MOST_TURN, MOST_SPREAD] = [(22 * Math.PI) / 180, 7];

/** How far a row turns from one point to the next, and what its light looks like there. */
interface Walked {
  readonly turns: Float64Array;
  readonly labs: Float64Array;
}

function walked({ points, light }: Row): Walked {
  const n = points.length;
  const turns = new Float64Array(n);
  const labs = new Float64Array(3 * n);
  for (let k = 0; k < n; k++) {
    const [ax, ay] = normalAt(points, k);
    const [bx, by] = normalAt(points, (k + 1) % n);
    turns[k] = Math.abs(Math.atan2(ax * by - ay * bx, ax * bx + ay * by));
    const lab = labOfLinear([light[3 * k] ?? 0, light[3 * k + 1] ?? 0, light[3 * k + 2] ?? 0]);
    labs.set([lab.l, lab.a, lab.b], 3 * k);
  }
  return { turns, labs };
}

/** Sums over a piece of a row while it is made longer. */
class Piece {
  private n = 0;
  private turn = 0;
  private readonly sums = new Float64Array(6);

  constructor(private readonly along: Walked) {}

  add(k: number): void {
    this.n++;
    this.turn += this.along.turns[k] as number;
    for (let c = 0; c < 3; c++) {
      const value = this.along.labs[3 * k + c] as number;
      this.sums[c] = (this.sums[c] as number) + value;
      this.sums[3 + c] = (this.sums[3 + c] as number) + value * value;
    }
  }

  get goesOn(): boolean {
    let spread = 0;
    for (let c = 0; c < 3; c++) {
      const mean = (this.sums[c] as number) / this.n;
      spread += (this.sums[3 + c] as number) / this.n - mean * mean;
    }
    return this.turn <= MOST_TURN && Math.sqrt(Math.max(0, spread)) <= MOST_SPREAD;
  }
}

/** Where a row is cut: numbers of points, the first at 0, the last at its end. */
function cutsOf(row: Row, { shortest, longest }: Threads): readonly number[] {
  const n = row.points.length;
  const along = walked(row);
  const [least, most] = [shortest, longest].map((mm) => Math.max(1, Math.round(mm / row.step))) as [number, number];
  const cuts = [0];
  let from = 0;
  while (n - from > most) {
    const piece = new Piece(along);
    let length = 0;
    while (length < most && (length < least || piece.goesOn)) piece.add((from + length++) % n);
    from += length;
    cuts.push(from);
  }
  const rest = n - from;
  // what is left at the end is one more, or is added to the last
  if (rest >= least / 2 || cuts.length === 1) cuts.push(n);
  else cuts[cuts.length - 1] = n;
  return cuts;
}

/** A tessera between two places of a row: straight, with ends across the row. */
function between(row: Row, from: number, to: number, { diameter, gap }: Threads): Cut | null {
  const n = row.points.length;
  const place = (at: number): { readonly p: Point; readonly normal: Point } => {
    const k = Math.floor(at);
    const t = at - k;
    const [p, q] = [row.points[k % n] as Point, row.points[(k + 1) % n] as Point];
    return { p: [p[0] + t * (q[0] - p[0]), p[1] + t * (q[1] - p[1])], normal: normalAt(row.points, k % n) };
  };
  const inset = Math.min(gap / 2 / row.step, (to - from) / 4);
  const [a, b] = [place(from + inset), place(to - inset)];
  const half = diameter / 2;
  const corner = ({ p, normal }: typeof a, side: number): Point => [
    p[0] + side * half * normal[0],
    p[1] + side * half * normal[1],
  ];
  const corners: Point[] = [corner(a, 1), corner(b, 1), corner(b, -1), corner(a, -1)];
  const points = untwisted(corners);
  return points && { points, length: (to - from) * row.step };
}

const turnsAt = ([ax, ay]: Point, [bx, by]: Point, [cx, cy]: Point): number =>
  (bx - ax) * (cy - by) - (by - ay) * (cx - bx);

/** Four corners without a side that crosses another: of a row that turns sharply the inner ones meet. */
function untwisted(corners: readonly Point[]): Convex | null {
  const turns = corners.map((p, k) =>
    Math.sign(turnsAt(p, corners[(k + 1) % 4] as Point, corners[(k + 2) % 4] as Point)),
  );
  if (turns.every((t) => t === turns[0])) return corners;
  const [a, b, c, d] = corners as [Point, Point, Point, Point];
  const wide = (p: Point, q: Point): number => Math.hypot(p[0] - q[0], p[1] - q[1]);
  const triangle: Convex = wide(a, b) > wide(c, d) ? [a, b, middleOf([c, d])] : [middleOf([a, b]), c, d];
  return areaOfConvex(triangle) > 0 ? triangle : null;
}

/** A row so short that it is one tessera, or a dot: along its longest line. */
function dot({ points }: Row, { diameter, longest }: Threads): Cut {
  const [x, y] = middleOf(points);
  const farthest = points.reduce((a, b) => (Math.hypot(b[0] - x, b[1] - y) > Math.hypot(a[0] - x, a[1] - y) ? b : a));
  const reach = Math.hypot(farthest[0] - x, farthest[1] - y);
  const [u, v] = reach > 1e-6 ? [(farthest[0] - x) / reach, (farthest[1] - y) / reach] : [1, 0];
  const [half, wide] = [Math.min(longest / 2, reach + diameter / 2), diameter / 2];
  const corner = (s: number, t: number): Point => [x + s * half * u - t * wide * v, y + s * half * v + t * wide * u];
  return { points: [corner(1, 1), corner(-1, 1), corner(-1, -1), corner(1, -1)], length: 2 * half };
}

/** A row cut into tesserae: long where nothing changes, short where it turns or the picture has detail. */
export function cutRow(row: Row, threads: Threads): readonly Cut[] {
  const whole = row.points.length * row.step;
  if (whole < 2 * threads.shortest + 2 * threads.diameter) return [dot(row, threads)];
  const cuts = cutsOf(row, threads);
  return cuts.slice(1).flatMap((to, k) => {
    const piece = between(row, cuts[k] as number, to, threads);
    return piece ? [piece] : [];
  });
}
