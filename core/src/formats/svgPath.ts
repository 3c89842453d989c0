import type { Point } from '#core/cane';

/** mm that a straight piece may be off its curve. */
const CURVE = 0.02;

/** A segment of a path: its letter and its numbers. */
export type Segment = readonly (string | number)[];
/** Places that hold a cubic curve, after where it begins. */
type Cubic = readonly [x1: number, y1: number, x2: number, y2: number, x3: number, y3: number];

/** A curve as a cubic one. */
function cubicOf(segment: Segment, x: number, y: number): Cubic {
  const v = (i: number): number => Number(segment[i] ?? 0);
  if (segment[0] === 'C') return [v(1), v(2), v(3), v(4), v(5), v(6)];
  const third = (from: number, to: number): number => from + (2 / 3) * (to - from);
  return [third(x, v(1)), third(y, v(2)), third(v(3), v(1)), third(v(4), v(2)), v(3), v(4)];
}

/** Straight pieces of a curve, at most. */
const MOST_PIECES = 200;

/** A curve in straight pieces so short that none is off by more than a hair (second differences). */
function pieces(x: number, y: number, [x1, y1, x2, y2, x3, y3]: Cubic, scale: number): readonly Point[] {
  const bend =
    scale * Math.max(Math.hypot(x - 2 * x1 + x2, y - 2 * y1 + y2), Math.hypot(x1 - 2 * x2 + x3, y1 - 2 * y2 + y3));
  const count = Math.min(MOST_PIECES, Math.max(1, Math.ceil(Math.sqrt((0.75 * bend) / CURVE))));
  return Array.from({ length: count }, (_, k): Point => {
    const t = (k + 1) / count;
    const u = 1 - t;
    return [
      u ** 3 * x + 3 * u * u * t * x1 + 3 * u * t * t * x2 + t ** 3 * x3,
      u ** 3 * y + 3 * u * u * t * y1 + 3 * u * t * t * y2 + t ** 3 * y3,
    ];
  });
}

/** Where a segment leads, from where it begins; a closed path needs no place of its own. */
export function placesOf(segment: Segment, x: number, y: number, scale: number): readonly Point[] {
  const v = (i: number): number => Number(segment[i] ?? 0);
  switch (segment[0]) {
    case 'M':
    case 'L':
      return [[v(1), v(2)]];
    case 'H':
      return [[v(1), y]];
    case 'V':
      return [[x, v(1)]];
    case 'C':
    case 'Q':
      return pieces(x, y, cubicOf(segment, x, y), scale);
    default:
      return [];
  }
}
