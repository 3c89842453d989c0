import { transfer } from 'comlink';
import { frameOf, paintFace, smoothRows, type Outline, type Paint } from '#core/cane';
import { beginLong } from './long.js';

/** Rows of a large picture in one go. */
const CHUNK = 48;
/** Fewest and most rows of a face in one go, and how long, ms, the next asker waits for one at most. */
const [LEAST_ROWS, MOST_ROWS, PATIENCE] = [6, 64, 20];
/** Pixels a side from which 4 × 4 places an edge pixel do, instead of 8 × 8. */
const LARGE = 1500;
/** What `smoothRows` takes: how finely edges are looked at. */
const [FINE, FINER] = [1, 2];

/** What is painted: its edge, what lies at each place, and in which paints. */
export interface Painted {
  readonly state: { readonly outline: Outline; readonly sample: (x: number, y: number) => number };
  readonly list: readonly Paint[];
}

const asImage = (pixels: Uint8ClampedArray<ArrayBuffer>, size: number): ImageData =>
  transfer(new ImageData(pixels, size, size), [pixels.buffer]);

/** Rows for the next go, after so many took so long, ms. */
const nextRows = (rows: number, took: number): number =>
  Math.round(Math.min(MOST_ROWS, Math.max(LEAST_ROWS, (PATIENCE * rows) / took)));

/** A coarse picture, at once. @param every blocks of so many pixels */
export function coarse({ state, list }: Painted, size: number, every: number): ImageData {
  const pixels = new Uint8ClampedArray(4 * size * size);
  paintFace(state, list, frameOf(state.outline, size), { from: 0, to: size }, pixels, every);
  return asImage(pixels, size);
}

/** A fine one, in strips between which all goes before it that is waiting; null where it was stopped. */
export async function fine({ state, list }: Painted, size: number, name: string): Promise<ImageData | null> {
  const goesOn = beginLong(name);
  const frame = frameOf(state.outline, size);
  const pixels = new Uint8ClampedArray(4 * size * size);
  let rows = LEAST_ROWS;
  for (let from = 0; from < size;) {
    if (!(await goesOn())) return null;
    const to = Math.min(size, from + rows);
    const began = performance.now();
    pixels.set(smoothRows(state, list, frame, { from, to }, FINER), 4 * size * from);
    rows = nextRows(to - from, performance.now() - began);
    from = to;
  }
  return asImage(pixels, size);
}

/**
 * A PNG file, painted strip by strip: of a large one there is never more than one copy.
 * @param tell called with the share that is done
 * @returns null where it was stopped
 */
export async function paintedFile(
  { state, list }: Painted,
  size: number,
  name: string,
  tell: (share: number) => void,
): Promise<Uint8Array | null> {
  const goesOn = beginLong(name);
  const frame = frameOf(state.outline, size);
  const canvas = new OffscreenCanvas(size, size);
  const paper = canvas.getContext('2d', { willReadFrequently: true });
  for (let from = 0; from < size; from += CHUNK) {
    const to = Math.min(size, from + CHUNK);
    const rows = smoothRows(state, list, frame, { from, to }, size > LARGE ? FINE : FINER);
    paper?.putImageData(new ImageData(rows.slice(), size, to - from), 0, from);
    tell(to / size);
    if (!(await goesOn())) return null;
  }
  const blob = await canvas.convertToBlob({ type: 'image/png' });
  const bytes = new Uint8Array(await blob.arrayBuffer());
  return transfer(bytes, [bytes.buffer]);
}
