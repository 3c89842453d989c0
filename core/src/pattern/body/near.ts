import type { Mm } from '#core/units';
import type { Body } from './body.js';

/** Squares along the longer side. */
const SIDE = 64;

/** How far a place is from where a thing ends to matter, mm; below 0 within. */
export type Away = (x: Mm, y: Mm) => number;

/** A grid of squares over the plan of a body, so that a point asks its neighbours only. */
export class Grid {
  private readonly lists: readonly Int32Array[];
  private readonly by: number;
  private readonly columns: number;
  private readonly rows: number;
  private readonly left: Mm;
  private readonly bottom: Mm;

  constructor({ width, height }: Pick<Body, 'width' | 'height'>, things: readonly Away[]) {
    this.by = SIDE / Math.max(width, height);
    this.columns = Math.max(1, Math.ceil(width * this.by));
    this.rows = Math.max(1, Math.ceil(height * this.by));
    this.left = -width / 2;
    this.bottom = -height / 2;
    this.lists = Array.from({ length: this.columns * this.rows }, (_, n) => this.near(n, things));
  }

  private near(square: number, things: readonly Away[]): Int32Array {
    const [i, j] = [square % this.columns, Math.floor(square / this.columns)];
    const [x, y] = [(i + 0.5) / this.by + this.left, (j + 0.5) / this.by + this.bottom];
    const half = Math.SQRT1_2 / this.by;
    const near: number[] = [];
    for (let n = things.length - 1; n >= 0; n--) if ((things[n] as Away)(x, y) < half) near.push(n);
    return Int32Array.from(near);
  }

  /** The things near a place, the last one first. */
  at(x: Mm, y: Mm): Int32Array {
    const i = Math.min(this.columns - 1, Math.max(0, ((x - this.left) * this.by) | 0));
    const j = Math.min(this.rows - 1, Math.max(0, ((y - this.bottom) * this.by) | 0));
    return this.lists[j * this.columns + i] as Int32Array;
  }
}

/** The place in a list of the first thing that came before another one. */
export function before(list: Int32Array, one: number): number {
  let k = 0;
  while (k < list.length && (list[k] as number) >= one) k++;
  return k;
}
