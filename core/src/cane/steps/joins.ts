import {
  ONE_OF_MANY,
  areaOf,
  beyond,
  bundleCells,
  extentOf,
  outlineOf,
  reachOf,
  rectangle,
  type Cell,
  type Outline,
  type Point,
} from '#core/cane/outlines';
import { boxOf, shown } from './measure.js';
import { pressedTo } from './pressing.js';
import { sumOf, type CaneState, type Sampler, type Unspoilt } from './state.js';
import { complaint } from './sentences.js';

/**
 * Uses up so many pieces of a cane; what was not used stays aside.
 * @returns how often that goes
 * @throws Complaint `cane/pieces`
 */
export function using(state: CaneState, needed: number): number {
  if (state.count < needed) throw complaint('cane/pieces', { needed, have: state.count });
  return Math.floor(state.count / needed);
}

/** As long as the shortest of them. */
export const lengthOf = (states: readonly CaneState[]): number => Math.min(...states.map((s) => s.length));
export const reductionsOf = (states: readonly CaneState[]): number => Math.max(...states.map((s) => s.reductions));

/** Sides may differ by so much, as a share, and still meet. */
const MEET = 0.005;

/** @throws Complaint `cane/sides` where two sides that meet are not as long */
export function checkMeet(one: number, other: number): void {
  if (Math.abs(other / one - 1) > MEET) throw complaint('cane/sides', { one: shown(one), other: shown(other) });
}

/** The sides of a piece that lies in rows. @throws Complaint `cane/straight` */
export function straight({ outline }: CaneState): { readonly width: number; readonly height: number } {
  const box = boxOf(outline);
  if (!box) throw complaint('cane/straight');
  return box;
}

/** A flattened log fills so much of its box, and is so many times as wide as it is high. */
const [FULL, FLAT] = [0.7, 1.5];

/**
 * A piece as it lies on others along its width or its height. One with straight sides stays as it is; a flattened
 * log lies down with its flat side: as wide as before, its round ends pressed square.
 * @throws Complaint `cane/straight`
 */
export function lying(state: CaneState, along: 'width' | 'height'): CaneState {
  if (boxOf(state.outline)) return state;
  const { width, height } = extentOf(state.outline);
  const [long, high] = along === 'width' ? [width, height] : [height, width];
  const area = areaOf(state.outline);
  if (long < FLAT * high || area < FULL * long * high) throw complaint('cane/straight');
  const box = along === 'width' ? rectangle(long, area / long) : rectangle(area / long, long);
  return pressedTo(state, box, 0);
}

/** Squares along each side of the coarse grid that says which cells are near. */
const SIDE = 48;

/** Which cells touch each square of a coarse grid: only those are asked. */
function nearCells(cells: readonly Cell[], outline: Outline): (x: number, y: number) => readonly number[] {
  const { left, bottom, width, height } = extentOf(outline);
  const column = (x: number): number => Math.floor(((x - left) / width) * SIDE);
  const row = (y: number): number => Math.floor(((y - bottom) / height) * SIDE);
  const within = (n: number): number => Math.min(SIDE - 1, Math.max(0, n));
  const near: number[][] = Array.from({ length: SIDE * SIDE }, () => []);
  cells.forEach((cell, i) => {
    const columns = cell.map((p) => column(p[0]));
    const rows = cell.map((p) => row(p[1]));
    for (let j = Math.max(0, Math.min(...rows)); j <= Math.min(SIDE - 1, Math.max(...rows)); j++)
      for (let k = Math.max(0, Math.min(...columns)); k <= Math.min(SIDE - 1, Math.max(...columns)); k++)
        near[j * SIDE + k]?.push(i);
  });
  return (x, y) => near[within(row(y)) * SIDE + within(column(x))] as number[];
}

interface PressedRod {
  readonly x: number;
  readonly y: number;
  readonly factor: number;
  readonly sample: Sampler;
  readonly reach: Float64Array;
}

function pressedInto(rod: CaneState, cell: Cell): PressedRod {
  const { outline, moved } = outlineOf(cell);
  // the cell has the area of the rod to a fraction of a percent; what is left is stretched
  const fitted = pressedTo(rod, outline, 0, ONE_OF_MANY);
  const factor = Math.sqrt(areaOf(fitted.outline) / areaOf(outline));
  return { x: moved[0], y: moved[1], factor, sample: fitted.sample, reach: reachOf(outline) };
}

/** Each rod pressed into its cell; the cells fill the outline. */
function squeezed(rods: readonly CaneState[], outline: Outline, places: readonly Point[]): Sampler {
  const areas = rods.map((r) => areaOf(r.outline));
  const cells = bundleCells(outline, areas, places);
  const pressed = cells.map((cell, i) => pressedInto(rods[i] as CaneState, cell));
  const near = nearCells(cells, outline);
  return (x, y) => {
    let [best, least] = [pressed[0], Infinity];
    for (const i of near(x, y)) {
      const cell = pressed[i] as PressedRod;
      const out = beyond(cell.reach, x - cell.x, y - cell.y);
      if (out < least) [best, least] = [cell, out];
      if (out <= 1) break;
    }
    if (!best) return 0;
    // a hair outside of every cell, between two tables: onto the edge of the nearest
    const back = best.factor * (least > 1 ? 0.999 / least : 1);
    return best.sample((x - best.x) * back, (y - best.y) * back);
  };
}

/**
 * Rods squeezed together to an outline of their area, beginning at some places.
 * @param count of the cane that comes of it
 */
export function squeezedTogether(
  rods: readonly CaneState[],
  outline: Outline,
  places: readonly Point[],
  count: number,
): Unspoilt {
  return {
    outline,
    length: lengthOf(rods),
    count,
    sample: squeezed(rods, outline, places),
    reductions: reductionsOf(rods),
    amounts: sumOf(...rods.map((r) => [r.amounts, 1] as const)),
  };
}

/** mm² of all rods together. */
export const areaOfAll = (rods: readonly CaneState[]): number => rods.reduce((sum, r) => sum + areaOf(r.outline), 0);
