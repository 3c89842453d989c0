import { hexOf, labOf, mixerOf, mixPigments, type Lab, type Pigment } from '#core/colour';
import { ratios, unitsOf, type Ratio } from './find/index.js';

/**
 * Three mixes: their shares at a point of a triangle with its first corner on top, the second left, the third
 * right.
 */
export type Corners = readonly [Pigment, Pigment, Pigment];

/** A mix of the three that can be laid down. `x` and `y` from 0 to 1 across the triangle's box, y downwards. */
export interface MakeablePoint {
  readonly units: Ratio;
  readonly x: number;
  readonly y: number;
  readonly lab: Lab;
}

/** Parts of a makeable point at most: whole ones. */
const MOST_PARTS = 8;

const placeOf = ([a = 0, b = 0, c = 0]: Ratio): { x: number; y: number } => {
  const whole = a + b + c;
  return { x: (c + a / 2) / whole, y: 1 - a / whole };
};

/** Every mix of up to eight whole parts of the three, the corners and sides among them. */
export function makeablePoints(corners: Corners): MakeablePoint[] {
  const few = (clays: 2 | 3): Ratio[] => ratios(clays).filter((r) => unitsOf(r) <= MOST_PARTS);
  const all: Ratio[] = [
    [1, 0, 0],
    [0, 1, 0],
    [0, 0, 1],
    ...few(2).flatMap(([a = 0, b = 0]): Ratio[] => [
      [a, b, 0],
      [a, 0, b],
      [0, a, b],
    ]),
    ...few(3),
  ];
  return all.map((units) => ({ units, ...placeOf(units), lab: labOf(mixPigments(corners, units)) }));
}

/** Pixels that are painted beyond each side. */
const OVER = 2;

/**
 * The triangle as a picture: red, green, blue and opacity, row by row; clear
 * outside, but for a seam that whoever shows it cuts off cleanly.
 * @param width of the picture in pixels; it is `triangleHeight(width)` high
 */
export function trianglePicture(corners: Corners, width: number): Uint8ClampedArray {
  const height = triangleHeight(width);
  const out = new Uint8ClampedArray(4 * width * height);
  const mixer = mixerOf(corners, width);
  for (let column = 0; column < width; column++) mixer.pigments.set([0, 1, 2], 3 * column);
  for (let row = 0; row < height; row++) {
    const a = 1 - (row + 0.5) / height;
    const inside: number[] = [];
    for (let column = 0; column < width; column++) {
      const c = (column + 0.5) / width - a / 2;
      const b = 1 - a - c;
      if (b < -OVER / width || c < -OVER / width) continue;
      const at = 3 * inside.length;
      mixer.volumes[at] = a;
      mixer.volumes[at + 1] = Math.max(0, b);
      mixer.volumes[at + 2] = Math.max(0, c);
      inside.push(column);
    }
    mixer.run(inside.length);
    inside.forEach((column, mix) => {
      const [x = 0, y = 0, z = 0] = mixer.colours.subarray(6 * mix);
      const hex = parseInt(hexOf({ x, y, z }), 16);
      out.set([hex >> 16, (hex >> 8) & 255, hex & 255, 255], 4 * (row * width + column));
    });
  }
  return out;
}

export const triangleHeight = (width: number): number => Math.round((width * Math.sqrt(3)) / 2);

/** The nearest point in a direction (arrow keys), or the same where there is none. */
export function nextPoint(
  points: readonly MakeablePoint[],
  from: MakeablePoint,
  dx: number,
  dy: number,
): MakeablePoint {
  let best = from;
  let least = Infinity;
  for (const point of points) {
    const [x, y] = [point.x - from.x, (point.y - from.y) * (Math.sqrt(3) / 2)];
    const ahead = x * dx + y * dy;
    const aside = Math.abs(x * dy - y * dx);
    // within 45° of where the arrow points
    if (ahead <= 1e-9 || aside > ahead) continue;
    const cost = ahead + 2 * aside;
    if (cost < least) [best, least] = [point, cost];
  }
  return best;
}
