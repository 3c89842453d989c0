import { extentOf } from '#core/outline';
import type { Lab } from '#core/colour';
import type { Mm } from '#core/units';
import type { Look } from '#core/pattern/seen';

/** Cells of all sheets together, at the most: what is looked at to find good places, not what is painted. */
const MOST_CELLS = 60_000;
/** Places of a cell that are looked at, a side. */
const A_SIDE = 2;

/** Sums over all cells to the left of and below a corner, so that the mean of any rectangle costs four look-ups. */
export interface Raster {
  readonly width: Mm;
  readonly height: Mm;
  readonly step: Mm;
  readonly columns: number;
  readonly rows: number;
  /** l, a, b of each cell, one after the other */
  readonly cells: Float32Array;
  /** l, a, b and the share that is a hole, summed up; one more row and column than there are cells */
  readonly sums: Float64Array;
}

/** mm of a cell, so that all sheets keep within the most cells. */
export function cellFor(sheets: readonly Look[], finest: Mm): Mm {
  const area = sheets.reduce((sum, { outline }) => {
    const { width, height } = extentOf(outline);
    return sum + width * height;
  }, 0);
  return Math.max(finest, Math.sqrt(area / MOST_CELLS));
}

/** Adds up the colours of one cell. @returns how many of its places are a hole */
function lookIn(
  { sample }: Look,
  [x, y]: readonly [Mm, Mm],
  step: Mm,
  seenAs: (value: number) => Lab | null,
  sum: [number, number, number],
): number {
  let holes = 0;
  for (let n = 0; n < A_SIDE * A_SIDE; n++) {
    const [i, k] = [n % A_SIDE, Math.floor(n / A_SIDE)];
    const lab = seenAs(sample(x + ((i + 0.5) / A_SIDE - 0.5) * step, y + ((k + 0.5) / A_SIDE - 0.5) * step));
    if (lab === null) {
      holes++;
      continue;
    }
    sum[0] += lab.l;
    sum[1] += lab.a;
    sum[2] += lab.b;
  }
  return holes;
}

/**
 * The colours of a face in cells, and where it has holes.
 * @param seenAs the colour of a value; null: nothing that should be seen on a piece
 */
export function rasterOf(look: Look, step: Mm, seenAs: (value: number) => Lab | null): Raster {
  const { left, bottom, width, height } = extentOf(look.outline);
  const [columns, rows] = [Math.max(1, Math.ceil(width / step)), Math.max(1, Math.ceil(height / step))];
  const cells = new Float32Array(3 * columns * rows);
  const wide = columns + 1;
  const sums = new Float64Array(4 * wide * (rows + 1));
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++) {
      const sum: [number, number, number] = [0, 0, 0];
      const at = [left + (column + 0.5) * step, bottom + (row + 0.5) * step] as const;
      const holes = lookIn(look, at, step, seenAs, sum);
      const seen = Math.max(1, A_SIDE * A_SIDE - holes);
      const own = [sum[0] / seen, sum[1] / seen, sum[2] / seen, holes / (A_SIDE * A_SIDE)] as const;
      cells.set(own.slice(0, 3), 3 * (row * columns + column));
      for (const [k, value] of own.entries()) {
        const [here, below] = [4 * ((row + 1) * wide + column + 1) + k, 4 * (row * wide + column + 1) + k];
        sums[here] = value + (sums[here - 4] as number) + (sums[below] as number) - (sums[below - 4] as number);
      }
    }
  return { width, height, step, columns, rows, cells, sums };
}

const within = (n: number, most: number): number => Math.min(most, Math.max(0, n));

/** The mean of l, a, b and holes in a square about a place, mm from the lower left corner. */
export function meanAbout(raster: Raster, x: Mm, y: Mm, half: Mm, into: Float64Array, at: number): void {
  const { step, columns, rows, sums } = raster;
  const left = within(Math.floor((x - half) / step), columns - 1);
  const right = Math.max(left + 1, within(Math.ceil((x + half) / step), columns));
  const low = within(Math.floor((y - half) / step), rows - 1);
  const high = Math.max(low + 1, within(Math.ceil((y + half) / step), rows));
  const wide = columns + 1;
  const count = (right - left) * (high - low);
  for (let k = 0; k < 4; k++) {
    const corner = (row: number, column: number): number => sums[4 * (row * wide + column) + k] as number;
    into[at + k] = (corner(high, right) - corner(high, left) - corner(low, right) + corner(low, left)) / count;
  }
}

/** The number of the cell at a place, mm from the lower left corner. */
export const cellAt = ({ step, columns, rows }: Raster, x: Mm, y: Mm): number =>
  within(Math.floor(y / step), rows - 1) * columns + within(Math.floor(x / step), columns - 1);
