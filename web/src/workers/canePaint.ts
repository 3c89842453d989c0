import { transfer } from 'comlink';
import { frameOf, paintFace, smoothRows, type CaneState, type Paint } from '#core/cane';
import { paintable } from './caneLoaded.js';
import { beginLong } from './long.js';
import { fileName } from './names.js';

/** A picture that is asked for: of which cane, after which step, pixels a side, in which paints. */
export interface Wish {
  readonly id: string;
  readonly at: number;
  readonly size: number;
  readonly paints: Readonly<Record<string, Paint>>;
}

/** The name that the painting of a fine face goes by. */
const faceName = ({ id, at, size }: Wish): string => `face ${id} ${at} ${size}`;

/** Rows of a large picture in one go. */
const CHUNK = 48;
/** Fewest and most rows of a face in one go, and how long, ms, the next asker waits for one at most. */
const [LEAST_ROWS, MOST_ROWS, PATIENCE] = [6, 64, 20];
/** Pixels a side from which 4 × 4 places an edge pixel do, instead of 8 × 8. */
const LARGE = 1500;
/** What `smoothRows` takes: how finely edges are looked at. */
const [FINE, FINER] = [1, 2];

interface Painted {
  readonly state: CaneState;
  readonly list: readonly Paint[];
}

const asImage = (pixels: Uint8ClampedArray<ArrayBuffer>, size: number): ImageData =>
  transfer(new ImageData(pixels, size, size), [pixels.buffer]);

/** Rows for the next go, after so many took so long, ms. */
const nextRows = (rows: number, took: number): number =>
  Math.round(Math.min(MOST_ROWS, Math.max(LEAST_ROWS, (PATIENCE * rows) / took)));

function coarse({ state, list }: Painted, size: number, every: number): ImageData {
  const pixels = new Uint8ClampedArray(4 * size * size);
  paintFace(state, list, frameOf(state.outline, size), { from: 0, to: size }, pixels, every);
  return asImage(pixels, size);
}

async function fine({ state, list }: Painted, size: number, name: string): Promise<ImageData | null> {
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
 * The face after a step. A coarse one is painted at once; a fine one lets everything go before it that is waiting, and
 * again after every few rows.
 * @param every blocks of so many pixels: a coarser picture at once
 * @returns null where it cannot be, or where it was stopped or asked for anew meanwhile
 */
export async function face(wish: Wish, every: number): Promise<ImageData | null> {
  const painted = paintable(wish.id, wish.at, wish.paints);
  if (!painted) return null;
  return every > 1 ? coarse(painted, wish.size, every) : fine(painted, wish.size, faceName(wish));
}

/**
 * The face after a step as a PNG file, painted strip by strip: of a large one there is never more than one copy.
 * @param tell called with the share that is done
 * @returns null where it cannot be, or was stopped
 */
export async function faceFile(wish: Wish, tell: (share: number) => void): Promise<Uint8Array | null> {
  const { size } = wish;
  const painted = paintable(wish.id, wish.at, wish.paints);
  if (!painted) return null;
  const goesOn = beginLong(fileName(wish));
  const frame = frameOf(painted.state.outline, size);
  const canvas = new OffscreenCanvas(size, size);
  const paper = canvas.getContext('2d', { willReadFrequently: true });
  for (let from = 0; from < size; from += CHUNK) {
    const to = Math.min(size, from + CHUNK);
    const rows = smoothRows(painted.state, painted.list, frame, { from, to }, size > LARGE ? FINE : FINER);
    paper?.putImageData(new ImageData(rows.slice(), size, to - from), 0, from);
    tell(to / size);
    if (!(await goesOn())) return null;
  }
  const blob = await canvas.convertToBlob({ type: 'image/png' });
  const bytes = new Uint8Array(await blob.arrayBuffer());
  return transfer(bytes, [bytes.buffer]);
}
