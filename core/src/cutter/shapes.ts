import type { Point } from '#core/outline';

/** Corners of a whole curve. */
const CURVED = 96;

/** A closed curve, from its parameter 0 to 2π. */
const curve = (at: (t: number) => Point): Point[] =>
  Array.from({ length: CURVED }, (_, i) => at((2 * Math.PI * i) / CURVED));

const ellipse = (t: number): Point => [Math.cos(t), Math.sin(t)];

/** The outline of each shape, of any size and counterclockwise: a cutter stretches it to its own width and height. */
export const SHAPE_POINTS = {
  round: () => curve(ellipse),
  rectangle: (): Point[] => [
    [-1, -1],
    [1, -1],
    [1, 1],
    [-1, 1],
  ],
  oval: () => curve(ellipse),
  // a point at the top, round at the bottom
  teardrop: () => curve((t) => [-Math.sin(t) * Math.sin(t / 2) ** 1.4, Math.cos(t)]),
  // a point at each end: where two circles overlap
  leaf: (): Point[] => lens(2),
  // round at the top, narrow and blunt at the bottom
  petal: () => curve((t) => [-Math.sin(t) * (0.62 + 0.38 * Math.cos(t)), Math.cos(t)]),
  heart: () =>
    curve((t) => [
      -16 * Math.sin(t) ** 3,
      13 * Math.cos(t) - 5 * Math.cos(2 * t) - 2 * Math.cos(3 * t) - Math.cos(4 * t),
    ]),
  // a corner at each side
  hexagon: (): Point[] => Array.from({ length: 6 }, (_, i) => ellipse((Math.PI * i) / 3)),
  // flat at the bottom
  'half round': (): Point[] => Array.from({ length: CURVED / 2 + 1 }, (_, i) => ellipse((2 * Math.PI * i) / CURVED)),
} as const;

/** What two circles of this radius have in common, whose middles are as far apart as leaves it 2 high. */
function lens(radius: number): Point[] {
  const half = Math.asin(1 / radius);
  const away = radius * Math.cos(half);
  const steps = CURVED / 2;
  const side = (sign: 1 | -1): Point[] =>
    Array.from({ length: steps }, (_, i) => {
      const t = -half + (2 * half * i) / steps;
      return [sign * (radius * Math.cos(t) - away), sign * radius * Math.sin(t)];
    });
  return [...side(1), ...side(-1)];
}

export const CUTTER_SHAPES = [...(Object.keys(SHAPE_POINTS) as (keyof typeof SHAPE_POINTS)[]), 'drawn'] as const;
export type CutterShape = keyof typeof SHAPE_POINTS | 'drawn';
