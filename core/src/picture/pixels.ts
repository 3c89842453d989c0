/** A picture as a browser decodes it: red, green, blue and opacity, 0..255, row by row. */
export interface Pixels {
  readonly data: Uint8ClampedArray;
  readonly width: number;
  readonly height: number;
}

/** Linear light in three channels, 0..1. */
export type Linear = readonly [number, number, number];

/** Linear light of each of the 256 values of sRGB (IEC 61966-2-1). */
export const LINEAR: Float64Array = Float64Array.from({ length: 256 }, (_, i) => {
  const v = i / 255;
  return v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4;
});

/** Pixels more transparent than this are not part of the picture. */
const OPAQUE = 128;
export const isThere = (alpha: number | undefined): boolean => (alpha ?? 0) >= OPAQUE;

/**
 * The mean of a square patch, in linear light, cut off at the picture's edge.
 * @param x @param y its middle, in pixels @param size of its side, in pixels
 * @returns null where nothing of the picture is there
 */
export function averageAt({ data, width, height }: Pixels, x: number, y: number, size: number): Linear | null {
  const half = Math.floor((Math.max(1, size) - 1) / 2);
  const sums: [number, number, number] = [0, 0, 0];
  let count = 0;
  for (let row = Math.max(0, y - half); row <= Math.min(height - 1, y + half); row++) {
    for (let column = Math.max(0, x - half); column <= Math.min(width - 1, x + half); column++) {
      const at = 4 * (row * width + column);
      if (!isThere(data[at + 3])) continue;
      for (let c = 0; c < 3; c++) sums[c] = (sums[c] ?? 0) + (LINEAR[data[at + c] ?? 0] ?? 0);
      count++;
    }
  }
  return count === 0 ? null : [sums[0] / count, sums[1] / count, sums[2] / count];
}
