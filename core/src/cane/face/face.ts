import { beyond, reachOf, extentOf, type Outline } from '#core/cane/outlines';
import type { CaneState } from '#core/cane/steps';

/** Red, green and blue of a material: three bytes, or 256 times three along its fade. */
export type Paint = Uint8Array;

export interface FacePicture {
  readonly width: number;
  readonly height: number;
  /** RGBA, transparent outside */ readonly pixels: Uint8ClampedArray;
}

/** Which part of a picture is painted: rows from `from` to below `to`. */
export interface Rows {
  readonly from: number;
  readonly to: number;
}

/** How a face lies in a picture: so many mm a pixel, and the middle of the first pixel. */
export interface Frame {
  readonly mm: number;
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

/** The frame that fits a face into a square picture, a hair of room around it. */
export function frameOf(outline: Outline, size: number): Frame {
  const { left, right, bottom, top, width, height } = extentOf(outline);
  const mm = (Math.max(width, height) * 1.004) / size;
  return {
    mm,
    width: size,
    height: size,
    left: (left + right) / 2 - (mm * (size - 1)) / 2,
    top: (top + bottom) / 2 + (mm * (size - 1)) / 2,
  };
}

/**
 * Paints a face: each pixel is carried back through the steps, nothing is
 * ever resampled.
 * @param every paints blocks of so many pixels: a coarser picture at once
 */
export function paintFace(
  { outline, sample }: Pick<CaneState, 'outline' | 'sample'>,
  paints: readonly Paint[],
  frame: Frame,
  rows: Rows,
  pixels: Uint8ClampedArray,
  every = 1,
): void {
  const reach = reachOf(outline);
  const { mm, left, top, width } = frame;
  const shift = ((every - 1) * mm) / 2;
  for (let j = rows.from; j < rows.to; j += every) {
    const y = top - j * mm - shift;
    for (let i = 0; i < width; i += every) {
      const x = left + i * mm + shift;
      let at = 4 * (j * width + i);
      if (beyond(reach, x, y) > 1) {
        if (every === 1) pixels[at + 3] = 0;
        else clear(pixels, width, i, j, every, rows.to);
        continue;
      }
      const value = sample(x, y);
      const index = value | 0;
      const paint = paints[index];
      if (!paint) continue;
      const from = paint.length === 3 ? 0 : 3 * (((value - index) * 256) | 0);
      const [r, g, b] = [paint[from] as number, paint[from + 1] as number, paint[from + 2] as number];
      if (every === 1) {
        pixels[at] = r;
        pixels[at + 1] = g;
        pixels[at + 2] = b;
        pixels[at + 3] = 255;
        continue;
      }
      for (let v = 0; v < every && j + v < rows.to; v++) {
        at = 4 * ((j + v) * width + i);
        for (let u = 0; u < every && i + u < width; u++, at += 4) {
          pixels[at] = r;
          pixels[at + 1] = g;
          pixels[at + 2] = b;
          pixels[at + 3] = 255;
        }
      }
    }
  }
}

function clear(pixels: Uint8ClampedArray, width: number, i: number, j: number, every: number, to: number): void {
  for (let v = 0; v < every && j + v < to; v++) {
    for (let u = 0; u < every && i + u < width; u++) pixels[4 * ((j + v) * width + i + u) + 3] = 0;
  }
}

/** Materials by number at every place of a small picture; -1 outside: what the judgement calls look at. */
export function mapOf(
  { outline, sample }: Pick<CaneState, 'outline' | 'sample'>,
  size: number,
): { readonly frame: Frame; readonly values: Float32Array } {
  const frame = frameOf(outline, size);
  const reach = reachOf(outline);
  const values = new Float32Array(size * size);
  for (let j = 0; j < size; j++) {
    const y = frame.top - j * frame.mm;
    for (let i = 0; i < size; i++) {
      const x = frame.left + i * frame.mm;
      values[j * size + i] = beyond(reach, x, y) > 1 ? -1 : sample(x, y);
    }
  }
  return { frame, values };
}
