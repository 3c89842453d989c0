import { showLength, type Mm } from '#core/units';
import { complaint } from './sentences.js';
import { heightAt, type Texture } from './textures.js';

/** Heights on a grid, row by row from the top left: 0 where it is pressed deepest, 1 where the clay stays up. */
export interface Relief {
  readonly columns: number;
  readonly rows: number;
  /** sides of a cell of the grid: about a square, so that the grid is as large as the sheet */
  readonly wide: Mm;
  readonly high: Mm;
  /** in the middle of each cell; both 0 and 1 are among them */
  readonly heights: Float32Array;
}

/** A picture as levels of grey, 0 black to 1 white, row by row. */
export interface GreyPicture {
  readonly columns: number;
  readonly rows: number;
  readonly greys: ArrayLike<number>;
}

/** A relief shallower than so much of a picture's whole range is one level. */
const ONE_LEVEL = 1 / 255;
/** mm of a pitch that a stamp can have. */
const [FINEST, COARSEST] = [0.3, 60];
/** A texture is seen where its pitch is so many cells of the grid. */
const FINE = 3;
/** mm of the sides of a sheet that is pressed. */
const [SMALLEST, LARGEST] = [5, 600];

/** Spreads heights over 0 to 1. @throws Complaint `relief/flat` */
function spread(heights: Float32Array): Float32Array {
  let [low, high] = [Infinity, -Infinity];
  for (const h of heights) {
    low = Math.min(low, h);
    high = Math.max(high, h);
  }
  if (!(high - low > ONE_LEVEL)) throw complaint('relief/flat');
  return heights.map((h) => (h - low) / (high - low));
}

/** @throws Complaint `relief/size` */
function checkSize({ width, height }: { readonly width: Mm; readonly height: Mm }): void {
  if (![width, height].every((mm) => mm >= SMALLEST && mm <= LARGEST))
    throw complaint('relief/size', { low: SMALLEST, high: LARGEST });
}

/**
 * A texture on a sheet, its middle in the middle of the sheet.
 * @param pitch from one rise to the next @param columns cells across the width
 * @throws Complaint `relief/pitch`, `relief/size`, `relief/fine`, `relief/flat`
 */
export function reliefOf(
  texture: Texture,
  size: { readonly width: Mm; readonly height: Mm },
  pitch: Mm,
  columns: number,
): Relief {
  if (!(pitch >= FINEST && pitch <= COARSEST)) throw complaint('relief/pitch', { low: FINEST, high: COARSEST });
  checkSize(size);
  const wide = size.width / columns;
  if (pitch < FINE * wide) throw complaint('relief/fine', { low: showLength(FINE * wide, 'metric', true) });
  const rows = Math.max(1, Math.round(size.height / wide));
  const high = size.height / rows;
  const heights = new Float32Array(columns * rows);
  for (let j = 0; j < rows; j++)
    for (let i = 0; i < columns; i++)
      heights[j * columns + i] = heightAt(
        texture,
        (i + 0.5) * wide - size.width / 2,
        (j + 0.5) * high - size.height / 2,
        pitch,
      );
  return { columns, rows, wide, high, heights: spread(heights) };
}

/** What of a picture stays up when it is pressed. */
export const RAISED = ['light', 'dark'] as const;
export type Raised = (typeof RAISED)[number];

/**
 * A picture as relief.
 * @param width of the picture on the sheet
 * @param raised what stays up: as a rule what is light, since a stamp that is cut after a picture presses in its lines
 * @throws Complaint `relief/flat` where it is of one level, `relief/size`
 */
export function reliefOfPicture({ columns, rows, greys }: GreyPicture, width: Mm, raised: Raised = 'light'): Relief {
  const cell = width / columns;
  checkSize({ width, height: rows * cell });
  const heights = spread(Float32Array.from(greys));
  return { columns, rows, wide: cell, high: cell, heights: raised === 'light' ? heights : heights.map((h) => 1 - h) };
}
