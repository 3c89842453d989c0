import { expose, transfer } from 'comlink';
import { Fault } from '#core/units';
import { tracePicture, type Drawn } from '#core/cane';
import { labOfLinear, type Lab } from '#core/colour';
import {
  LINEAR,
  MOST_PIXELS,
  averageAt,
  gainTable,
  neutralGains,
  paletteOf,
  pictureSize,
  recast,
  NO_CAST,
  type Gains,
  type PictureColour,
  type Pixels,
} from '#core/picture';
import { complaint } from './sentences.js';
import { keepComplaints } from './thrown.js';

keepComplaints();

/** Longest side of a picture as it is kept: palettes need no more. */
const LONGEST = 1200;
/** Bytes that a kept picture has at most. */
const MOST_BYTES = 640_000;

export interface Opened {
  readonly width: number;
  readonly height: number;
  readonly fullWidth: number;
  readonly fullHeight: number;
  readonly type: 'image/jpeg' | 'image/png';
  readonly bytes: Uint8Array;
  /** the same as a small JPEG, for a wall of them */
  readonly small: Uint8Array;
}

let pixels: Pixels | null = null;

/** Draws a picture no larger than it has to be and takes its pixels. */
function take(bitmap: ImageBitmap): OffscreenCanvas {
  const scale = Math.min(1, LONGEST / Math.max(bitmap.width, bitmap.height));
  const [width, height] = [
    Math.max(1, Math.round(bitmap.width * scale)),
    Math.max(1, Math.round(bitmap.height * scale)),
  ];
  const canvas = new OffscreenCanvas(width, height);
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) throw new Fault('a photograph was looked at', 'This browser cannot draw in a worker.');
  context.imageSmoothingQuality = 'high';
  context.drawImage(bitmap, 0, 0, width, height);
  pixels = context.getImageData(0, 0, width, height);
  return canvas;
}

/** Longest side of a small picture, and how much of it is let go. */
const [SMALL, SMALL_QUALITY] = [320, 0.72];

/** The picture as a small JPEG, what is clear in it as white. */
async function smallOf(canvas: OffscreenCanvas): Promise<Uint8Array> {
  const scale = Math.min(1, SMALL / Math.max(canvas.width, canvas.height));
  const [width, height] = [Math.ceil(canvas.width * scale), Math.ceil(canvas.height * scale)];
  const small = new OffscreenCanvas(width, height);
  const context = small.getContext('2d');
  if (!context) throw new Fault('a photograph was looked at', 'This browser cannot draw in a worker.');
  context.fillStyle = 'white';
  context.fillRect(0, 0, width, height);
  context.imageSmoothingQuality = 'high';
  context.drawImage(canvas, 0, 0, width, height);
  const blob = await small.convertToBlob({ type: 'image/jpeg', quality: SMALL_QUALITY });
  return new Uint8Array(await blob.arrayBuffer());
}

/** Bytes at the beginning of a picture among which its size stands, behind what cameras write there. */
const HEAD = 1_000_000;

async function isTooLarge(file: Blob): Promise<boolean> {
  const size = pictureSize(new Uint8Array(await file.slice(0, HEAD).arrayBuffer()));
  return size !== null && size.width * size.height > MOST_PIXELS;
}

const worker = {
  /**
   * Decodes a picture, turned as its file says, and scales it down.
   * @returns null where it is no picture that this browser can read; `too large` where unpacking it would take
   * more than there is
   */
  /** It is there, before the first photograph is. */
  ready: (): boolean => true,

  async open(file: Blob): Promise<Opened | 'too large' | null> {
    if (await isTooLarge(file)) return 'too large';
    let bitmap: ImageBitmap;
    try {
      bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' });
    } catch {
      return null;
    }
    const [fullWidth, fullHeight] = [bitmap.width, bitmap.height];
    const canvas = take(bitmap);
    bitmap.close();
    const clear = pixels?.data.some((v, i) => i % 4 === 3 && v < 255) ?? false;
    let blob = await canvas.convertToBlob(clear ? { type: 'image/png' } : { type: 'image/jpeg', quality: 0.9 });
    for (let quality = 0.8; blob.size > MOST_BYTES && quality > 0.1; quality -= 0.15)
      blob = await canvas.convertToBlob({ type: 'image/jpeg', quality });
    const bytes = new Uint8Array(await blob.arrayBuffer());
    const small = await smallOf(canvas);
    return transfer(
      {
        width: canvas.width,
        height: canvas.height,
        fullWidth,
        fullHeight,
        type: blob.type === 'image/png' ? 'image/png' : 'image/jpeg',
        bytes,
        small,
      },
      [bytes.buffer, small.buffer],
    );
  },
  /** The picture at hand in so many flat regions, as a template of that width. @throws Complaint */
  trace(count: number, width: number): Drawn {
    if (!pixels) throw complaint('picture/none');
    return tracePicture(pixels, count, width);
  },
  /** Takes up a picture that was kept. */
  async takeUp(file: Blob): Promise<{ readonly width: number; readonly height: number }> {
    const bitmap = await createImageBitmap(file);
    const { width, height } = take(bitmap);
    bitmap.close();
    return { width, height };
  },
  /** The picture without its cast, to be drawn. */
  shown(gains: Gains): ImageData | null {
    if (!pixels) return null;
    const table = gainTable(gains, LINEAR);
    const data = new Uint8ClampedArray(pixels.data.length);
    for (let at = 0; at < data.length; at += 4) {
      for (let c = 0; c < 3; c++) data[at + c] = table[256 * c + (pixels.data[at + c] as number)] as number;
      data[at + 3] = pixels.data[at + 3] as number;
    }
    const image = new ImageData(data, pixels.width, pixels.height);
    return transfer(image, [data.buffer]);
  },
  /** The mean colour of a patch, without the cast; null outside. */
  colourAt(x: number, y: number, size: number, gains: Gains): Lab | null {
    const patch = pixels && averageAt(pixels, x, y, size);
    return patch ? recast(labOfLinear(patch), NO_CAST, gains) : null;
  },
  /** The gains that make a patch neutral. @throws Complaint */
  neutralAt(x: number, y: number, size: number): Gains | null {
    const patch = pixels && averageAt(pixels, x, y, size);
    return patch ? neutralGains(patch) : null;
  },
  /** @throws Complaint */
  palette(count: number, gains: Gains): PictureColour[] {
    return pixels ? paletteOf(pixels, count, gains) : [];
  },
};
export type PictureWorker = typeof worker;

expose(worker);
