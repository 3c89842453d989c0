import { WHITE } from './bands.js';

/** CIELAB under D65: L* 0..100. */
export interface Lab {
  readonly l: number;
  readonly a: number;
  readonly b: number;
}
/** CIE XYZ, Y = 1 for a perfect white. */
export interface Xyz {
  readonly x: number;
  readonly y: number;
  readonly z: number;
}

export const EPSILON = 216 / 24389;
export const KAPPA = 24389 / 27;
/** f of CIELAB: the cube root of a share of the white, and a line where that is small. */
export const rootOf = (t: number): number => (t > EPSILON ? Math.cbrt(t) : (KAPPA * t + 16) / 116);

/** XYZ to CIELAB (CIE 015:2018). */
export function labOf({ x, y, z }: Xyz): Lab {
  const fx = rootOf(x / WHITE.x);
  const fy = rootOf(y / WHITE.y);
  const fz = rootOf(z / WHITE.z);
  return { l: 116 * fy - 16, a: 500 * (fx - fy), b: 200 * (fy - fz) };
}

/** The inverse of {@link rootOf}. */
export const shareOf = (t: number): number => (t ** 3 > EPSILON ? t ** 3 : (116 * t - 16) / KAPPA);

/** CIELAB to XYZ, the inverse of {@link labOf}. */
export function xyzOfLab({ l, a, b }: Lab): Xyz {
  const fy = (l + 16) / 116;
  return { x: WHITE.x * shareOf(fy + a / 500), y: shareOf(fy), z: WHITE.z * shareOf(fy - b / 200) };
}

/** Chroma and hue angle (degrees, 0..360) of a Lab colour. */
export function chromaHue({ a, b }: Lab): { c: number; h: number } {
  return { c: Math.hypot(a, b), h: ((Math.atan2(b, a) * 180) / Math.PI + 360) % 360 };
}
