import type { Mm } from '#core/units';
import { reliefOf, type Relief } from './relief.js';
import { complaint } from './sentences.js';
import type { Texture } from './textures.js';

/** Heights anywhere on a sheet: x to the right and y up, from its middle; 0 deepest, 1 where the clay stays up. */
export interface Heights {
  readonly at: (x: Mm, y: Mm) => number;
  /** on the middle */
  readonly mean: number;
}

/** A picture as levels, one letter each, row by row from the top left: short enough to be kept with a plan. */
export interface Levels {
  readonly columns: number;
  readonly rows: number;
  readonly levels: string;
}

const LETTERS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789-_';
const DEEPEST = LETTERS.length - 1;
/** Cells of the longer side of a picture that is kept so. */
export const MOST_CELLS = 128;

/** Cells from one rise of a texture to the next, and of a side at the most. */
const [EACH_RISE, MOST_COLUMNS] = [32, 700];
/** A grid is not coarser than this. */
const LEAST_COLUMNS = 64;

const clamped = (t: number): number => (t > 1 ? 1 : Math.max(0, t));

/** Cells around a grid that repeat its edge, so that every place has its neighbours. */
const EDGE = 2;

/** A grid with its edge repeated all around. */
function padded({ columns, rows, heights }: Relief): Float32Array {
  const across = columns + 2 * EDGE;
  const inside = (n: number, most: number): number => Math.min(most - 1, Math.max(0, n - EDGE));
  return Float32Array.from(
    { length: across * (rows + 2 * EDGE) },
    (_, at) => heights[inside(Math.floor(at / across), rows) * columns + inside(at % across, columns)] ?? 0,
  );
}

/**
 * Heights between the cells of a grid, without corners: the curve through four of them each way (Catmull and Rom,
 * 1974). It is asked for at every pixel, several times.
 */
export function heightsOf(relief: Relief): Heights {
  const { columns, rows, wide, high } = relief;
  const cells = padded(relief);
  const across = columns + 2 * EDGE;
  const row = (from: number, t: number): number => {
    const a = cells[from] as number;
    const b = cells[from + 1] as number;
    const c = cells[from + 2] as number;
    const d = cells[from + 3] as number;
    return b + 0.5 * t * (c - a + t * (2 * a - 5 * b + 4 * c - d + t * (3 * (b - c) + d - a)));
  };
  return {
    at: (x, y) => {
      const u = Math.min(columns - 0.5, Math.max(-0.5, x / wide + columns / 2 - 0.5));
      const v = Math.min(rows - 0.5, Math.max(-0.5, rows / 2 - y / high - 0.5));
      const i = Math.floor(u);
      const j = Math.floor(v);
      const s = u - i;
      const t = v - j;
      const from = (j + EDGE - 1) * across + i + EDGE - 1;
      const a = row(from, s);
      const b = row(from + across, s);
      const c = row(from + 2 * across, s);
      const d = row(from + 3 * across, s);
      return clamped(b + 0.5 * t * (c - a + t * (2 * a - 5 * b + 4 * c - d + t * (3 * (b - c) + d - a))));
    },
    mean: relief.heights.reduce((sum, h) => sum + h, 0) / relief.heights.length,
  };
}

/** Textures that were worked out last: the same are asked for again and again while a step is changed. */
const known = new Map<string, Heights>();
const MOST_KNOWN = 12;

/** A texture on a sheet. @throws Complaint as {@link reliefOf} */
export function textureHeights(
  texture: Texture,
  { width, height }: { readonly width: Mm; readonly height: Mm },
  pitch: Mm,
): Heights {
  const key = `${texture} ${width} ${height} ${pitch}`;
  const found = known.get(key);
  if (found) return found;
  const wanted = Math.round((EACH_RISE * width) / pitch);
  const columns = Math.min(MOST_COLUMNS, Math.max(LEAST_COLUMNS, wanted));
  const heights = heightsOf(reliefOf(texture, { width, height }, pitch, columns));
  known.set(key, heights);
  for (const old of [...known.keys()].slice(0, Math.max(0, known.size - MOST_KNOWN))) known.delete(old);
  return heights;
}

/** A kept picture on a sheet: as wide and as long as that. @throws Complaint `relief/levels`, `relief/flat` */
export function levelHeights(
  { columns, rows, levels }: Levels,
  size: { readonly width: Mm; readonly height: Mm },
): Heights {
  const heights = Float32Array.from(levels, (letter) => LETTERS.indexOf(letter) / DEEPEST);
  if (heights.length !== columns * rows || heights.some((h) => h < 0)) throw complaint('relief/levels');
  if (Math.min(...heights) === Math.max(...heights)) throw complaint('relief/flat');
  return heightsOf({ columns, rows, wide: size.width / columns, high: size.height / rows, heights });
}

/** A relief as few letters: cells of it are run together where it has more than are kept. */
export function levelsOf({ columns, rows, heights }: Relief): Levels {
  const by = Math.max(1, Math.max(columns, rows) / MOST_CELLS);
  const [across, down] = [Math.max(1, Math.round(columns / by)), Math.max(1, Math.round(rows / by))];
  const sums = new Float64Array(across * down);
  const counts = new Uint32Array(across * down);
  heights.forEach((h, at) => {
    const [i, j] = [at % columns, Math.floor(at / columns)];
    const to = Math.floor((j * down) / rows) * across + Math.floor((i * across) / columns);
    sums[to] = (sums[to] ?? 0) + h;
    counts[to] = (counts[to] ?? 0) + 1;
  });
  const letter = (sum: number, at: number): string =>
    LETTERS[Math.round((DEEPEST * sum) / Math.max(1, counts[at] ?? 1))] ?? 'A';
  return { columns: across, rows: down, levels: Array.from(sums, letter).join('') };
}
