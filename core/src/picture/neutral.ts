import type { Linear } from './pixels.js';
import { complaint } from './sentences.js';

/** Factors on linear red, green and blue that take a colour cast away. */
export type Gains = Linear;
export const NO_CAST: Gains = [1, 1, 1];

/** A patch darker than this holds more noise than colour; one lighter than this is clipped: linear light. */
const DARKEST = 0.02;
const LIGHTEST = 0.985;
/**
 * A patch more coloured than this is hardly grey or white under any lamp: its strongest channel against its
 * weakest.
 */
const MOST_CAST = 4;

/** Shares of the channels in luminance (IEC 61966-2-1). */
const LUMINANCE: Linear = [0.2126390058715104, 0.7151686787677559, 0.0721923153607337];
const luminance = (of: Linear): number => of.reduce((sum, v, c) => sum + v * (LUMINANCE[c] ?? 0), 0);

/**
 * The gains that make a patch neutral and keep its luminance: von Kries'
 * rule on linear light.
 * @throws Complaint `picture/dark`, `picture/clipped`, `picture/coloured`
 */
export function neutralGains(patch: Linear): Gains {
  const most = Math.max(...patch);
  if (most < DARKEST) throw complaint('picture/dark');
  if (patch.every((v) => v > LIGHTEST)) throw complaint('picture/clipped');
  if (most > MOST_CAST * Math.min(...patch)) throw complaint('picture/coloured');
  const y = luminance(patch);
  return [y / patch[0], y / patch[1], y / patch[2]];
}

const encode = (v: number): number => (v <= 0.0031308 ? 12.92 * v : 1.055 * v ** (1 / 2.4) - 0.055);

/** A table of 3 × 256 values that gives each channel with its gain, for whole pictures. */
export function gainTable(gains: Gains, linear: Float64Array): Uint8ClampedArray {
  const table = new Uint8ClampedArray(768);
  for (let c = 0; c < 3; c++)
    for (let v = 0; v < 256; v++)
      table[256 * c + v] = Math.round(255 * encode(Math.min(1, (gains[c] ?? 1) * (linear[v] ?? 0))));
  return table;
}
