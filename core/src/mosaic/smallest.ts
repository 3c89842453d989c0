import type { Lab } from '#core/colour';
import type { Cutter } from '#core/cutter';
import type { Mm } from '#core/units';
import { mosaicOf, type MosaicWish } from './mosaic.js';
import { READS_FROM, readAs } from './reads.js';

/** Widths that are tried: as shares of the bezel, from small to large. */
const SHARES = [0.2, 0.27, 0.36, 0.48, 0.64, 0.85, 1, 1.3, 1.7];
/** A bezel is not narrower than so many of its thickest threads. */
const THREADS = 4;

const scaled = (bezel: Cutter, by: number): Cutter => ({
  ...bezel,
  width: bezel.width * by,
  height: bezel.height * by,
});

/**
 * The narrowest bezel of a shape at which the same threads still read from so far that the eye runs `sigma` together:
 * sizes are tried from small to large, each planned anew.
 * @param bed what shows between tesserae @returns its width; null where none of them reads
 */
export function readsDownTo(wish: MosaicWish, bed: Lab, sigma: Mm): Mm | null {
  const { bezel, diameters, shades } = wish;
  const least = THREADS * Math.max(...diameters);
  for (const share of SHARES) {
    const smaller = scaled(bezel, share);
    if (Math.min(smaller.width, smaller.height) < least) continue;
    const { tesserae } = mosaicOf({ ...wish, bezel: smaller });
    const shapes = tesserae.map(({ points, lab, shade }) => ({ points, lab: shades?.[shade] ?? lab }));
    if (readAs({ bezel: smaller, picture: wish.picture, bed }, shapes, sigma) >= READS_FROM) return smaller.width;
  }
  return null;
}
