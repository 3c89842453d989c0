import { beyond, reachOf } from '#core/cane/outlines';
import type { Mm } from '#core/units';
import { paintFace, type Frame, type Paint, type Rows } from './face.js';
import type { CaneState } from '#core/cane/steps';

/** Steps of a channel above which two neighbours are two materials. */
const STEP = 10;
/** Share of a fade up to which two places are taken to lie in the same piece of it. */
const NEAR = 0.08;
/** Places across a block: its corners are looked at first. */
const BLOCK = 4;

const differs = (p: Uint8ClampedArray, a: number, b: number): boolean => {
  const [i, j] = [4 * a, 4 * b];
  return (
    Math.abs((p[i] as number) - (p[j] as number)) > STEP ||
    Math.abs((p[i + 1] as number) - (p[j + 1] as number)) > STEP ||
    Math.abs((p[i + 2] as number) - (p[j + 2] as number)) > STEP ||
    p[i + 3] !== p[j + 3]
  );
};
/** Whether clay between two places is taken to be as it is at them: one material, and no jump in its fade. */
const alike = (a: number, b: number): boolean => a === b || ((a | 0) === (b | 0) && Math.abs(a - b) < NEAR);

/** The pixels of a painted face whose neighbour shows another material, or lies outside: their numbers, row by row. */
export function edgesOf(pixels: Uint8ClampedArray, { width, height }: Pick<Frame, 'width' | 'height'>): number[] {
  const words = new Uint32Array(pixels.buffer, pixels.byteOffset, pixels.byteLength >> 2);
  const edges: number[] = [];
  for (let j = 0; j < height; j++) {
    for (let i = 0; i < width; i++) {
      const at = j * width + i;
      const own = words[at] as number;
      const [right, left, below, above] = [
        i + 1 < width ? at + 1 : at,
        i > 0 ? at - 1 : at,
        j + 1 < height ? at + width : at,
        j > 0 ? at - width : at,
      ];
      if (words[right] === own && words[below] === own && words[left] === own && words[above] === own) continue;
      // neighbours along a fade differ by a shade only: those are no edges
      if (
        differs(pixels, at, right) ||
        differs(pixels, at, below) ||
        differs(pixels, at, left) ||
        differs(pixels, at, above)
      )
        edges.push(at);
    }
  }
  return edges;
}

/** What is at a place: the index of its material, with a share of a blend; −1 outside. */
type Look = (x: Mm, y: Mm) => number;
/** Counts a value so many times. */
type Add = (value: number, times: number) => void;

/**
 * Counts the 4 × 4 places of a block, from its upper left corner. Where the ends of a row or column show the same, so
 * does all between them. @param d mm from a place to the next
 */
function blockCounter(look: Look, add: Add, d: Mm): (x: Mm, y: Mm) => void {
  /** A row of a block, from its two ends. */
  const row = (x: number, y: number, first: number, last: number): void => {
    if (alike(first, last)) {
      add(first, 2);
      add(last, 2);
      return;
    }
    add(first, 1);
    add(last, 1);
    add(look(x + d, y), 1);
    add(look(x + 2 * d, y), 1);
  };
  return (x, y) => {
    const [a, c, e, f] = [look(x, y), look(x + 3 * d, y), look(x, y - 3 * d), look(x + 3 * d, y - 3 * d)];
    if (alike(a, c) && alike(a, e) && alike(a, f)) {
      add(a, 4);
      add(c, 4);
      add(e, 4);
      add(f, 4);
      return;
    }
    row(x, y, a, c);
    const [near, far] = [alike(a, e), alike(c, f)];
    for (const k of [1, 2])
      row(
        x,
        y - k * d,
        near ? a + ((e - a) * k) / 3 : look(x, y - k * d),
        far ? c + ((f - c) * k) / 3 : look(x + 3 * d, y - k * d),
      );
    row(x, y - 3 * d, e, f);
  };
}

/**
 * Smooths edges of a painted face: each of these pixels becomes the mean of
 * the places in it, counted in blocks of 4 × 4: an edge is followed, not
 * every place asked.
 * @param edges as {@link edgesOf} finds them in the painted face: all, or some at a time
 * @param blocks blocks a side: 1 for 4 × 4 places, 2 for 8 × 8
 */
export function smoothEdges(
  { outline, sample }: Pick<CaneState, 'outline' | 'sample'>,
  paints: readonly Paint[],
  { mm, left, top, width }: Frame,
  pixels: Uint8ClampedArray,
  edges: readonly number[],
  blocks: number,
): void {
  const reach = reachOf(outline);
  const places = (BLOCK * blocks) ** 2;
  const d = mm / (BLOCK * blocks);
  let [r, g, b, n] = [0, 0, 0, 0];
  const look: Look = (x, y) => (beyond(reach, x, y) > 1 ? -1 : sample(x, y));
  const add: Add = (value, times) => {
    const index = value | 0;
    const paint = value < 0 ? undefined : paints[index];
    if (!paint) return;
    const from = paint.length === 3 ? 0 : 3 * (((value - index) * 256) | 0);
    r += times * (paint[from] as number);
    g += times * (paint[from + 1] as number);
    b += times * (paint[from + 2] as number);
    n += times;
  };
  const count = blockCounter(look, add, d);
  for (const at of edges) {
    const [x0, y0] = [left + (at % width) * mm - (mm - d) / 2, top - Math.floor(at / width) * mm + (mm - d) / 2];
    r = g = b = n = 0;
    for (let v = 0; v < blocks; v++) for (let u = 0; u < blocks; u++) count(x0 + u * BLOCK * d, y0 - v * BLOCK * d);
    if (n > 0) {
      pixels[4 * at] = r / n;
      pixels[4 * at + 1] = g / n;
      pixels[4 * at + 2] = b / n;
    }
    pixels[4 * at + 3] = (255 * n) / places;
  }
}

/**
 * Some rows of a face with smooth edges, painted with a row more on either
 * side: strips that are painted one after the other fit together.
 * @returns RGBA of those rows, transparent outside
 */
export function smoothRows(
  state: Pick<CaneState, 'outline' | 'sample'>,
  paints: readonly Paint[],
  frame: Frame,
  { from, to }: Rows,
  blocks: number,
): Uint8ClampedArray<ArrayBuffer> {
  const { width, mm, top } = frame;
  const height = to - from + 2;
  const strip = { ...frame, height, top: top - (from - 1) * mm };
  const pixels = new Uint8ClampedArray(4 * width * height);
  paintFace(state, paints, strip, { from: 0, to: height }, pixels);
  smoothEdges(
    state,
    paints,
    strip,
    pixels,
    edgesOf(pixels, strip).filter((at) => at >= width && at < width * (height - 1)),
    blocks,
  );
  return pixels.subarray(4 * width, 4 * width * (height - 1));
}
