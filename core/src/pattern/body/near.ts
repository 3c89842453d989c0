import type { Mm } from '#core/units';
import type { Body } from './body.js';

/** Which things are near a place, the last one first. */
export interface Grid {
  readonly at: (x: Mm, y: Mm) => Int32Array;
  /** the place in a list of the first that came before another one */
  readonly after: (list: Int32Array, one: number) => number;
}

/** Squares along the longer side. */
const SIDE = 64;

/** How far a place is from where a thing ends to matter, mm; below 0 within. */
export type Away = (x: Mm, y: Mm) => number;

const firstBelow = (list: Int32Array, one: number): number => {
  let k = 0;
  while (k < list.length && (list[k] as number) >= one) k++;
  return k;
};

/** A grid of squares over the plan of a body, so that a point asks its neighbours only. */
export function nearGrid({ width, height }: Pick<Body, 'width' | 'height'>, things: readonly Away[]): Grid {
  const by = SIDE / Math.max(width, height);
  const [columns, rows] = [Math.max(1, Math.ceil(width * by)), Math.max(1, Math.ceil(height * by))];
  const half = Math.SQRT1_2 / by;
  const lists: Int32Array[] = [];
  for (let j = 0; j < rows; j++)
    for (let i = 0; i < columns; i++) {
      const [x, y] = [(i + 0.5) / by - width / 2, (j + 0.5) / by - height / 2];
      const near: number[] = [];
      for (let n = things.length - 1; n >= 0; n--) if ((things[n] as Away)(x, y) < half) near.push(n);
      lists.push(Int32Array.from(near));
    }
  const column = (x: number): number => Math.min(columns - 1, Math.max(0, ((x + width / 2) * by) | 0));
  const row = (y: number): number => Math.min(rows - 1, Math.max(0, ((y + height / 2) * by) | 0));
  return { at: (x, y) => lists[row(y) * columns + column(x)] as Int32Array, after: firstBelow };
}
