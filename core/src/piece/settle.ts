import type { Extent, Point } from '#core/outline';
import type { Mm } from '#core/units';
import type { Part } from './document.js';
import { edgeAt, extentOfAll, type LaidPart } from './lying.js';
import type { Lying } from './arrange.js';
import type { Solid } from './solid.js';

/** One part where it came to lie. */
export interface Settled {
  readonly part: Part;
  readonly solid: Solid;
  readonly place: Lying;
  /** its edge from above */
  readonly edge: readonly Point[];
  /** mm over the table: of its lowest place, and of its highest */
  readonly bottom: Mm;
  readonly top: Mm;
  /** as seen from the side: its edge, x and height */
  readonly side: readonly Point[];
}

/** A piece with every part where it came to lie. */
export interface SettledPiece {
  /** in the order they are put together */
  readonly parts: readonly Settled[];
  readonly extent: Extent;
  /** mm from the lowest to the highest */
  readonly bottom: Mm;
  readonly top: Mm;
  /** mm of clay over each other where there is most of it: what the oven has to get through */
  readonly thickest: Mm;
}

/** Cells along the longer side of what heights are kept on, and the finest of them. */
const CELLS = 220;
const FINEST: Mm = 0.12;

/** Heights over a piece, cell by cell. */
class Heights {
  readonly step: Mm;
  readonly across: number;
  readonly up: number;
  readonly top: Float32Array;
  readonly clay: Float32Array;
  /** room for the cells of the part that is put down, used again for each */
  readonly cells: Pick<Cells, 'at' | 'low' | 'high'>;
  constructor(readonly extent: Extent) {
    this.step = Math.max(FINEST, Math.max(extent.width, extent.height) / CELLS);
    this.across = Math.ceil(extent.width / this.step) + 1;
    this.up = Math.ceil(extent.height / this.step) + 1;
    this.top = new Float32Array(this.across * this.up);
    const room = this.across * this.up;
    this.clay = new Float32Array(room);
    this.cells = { at: new Int32Array(room), low: new Float64Array(room), high: new Float64Array(room) };
  }

  /** Calls for each cell whose middle lies within some closed lines, by the even-odd rule: its number, its middle. */
  each(edges: readonly (readonly Point[])[], visit: (cell: number, x: Mm, y: Mm) => void): void {
    const { left, bottom } = this.extent;
    const ys = edges.flatMap((edge) => edge.map((p) => p[1]));
    const rowOf = (y: Mm): number => Math.min(this.up - 1, Math.max(0, Math.floor((y - bottom) / this.step)));
    const [first, last] = [rowOf(Math.min(...ys)), rowOf(Math.max(...ys))];
    for (let row = first; row <= last; row++) {
      const y = bottom + (row + 0.5) * this.step;
      const crossings = edges.flatMap((edge) => crossingsAt(edge, y)).sort((p, q) => p - q);
      for (let i = 0; i + 1 < crossings.length; i += 2) {
        const from = Math.max(0, Math.ceil(((crossings[i] ?? 0) - left) / this.step - 0.5));
        const to = Math.min(this.across - 1, Math.floor(((crossings[i + 1] ?? 0) - left) / this.step - 0.5));
        for (let column = from; column <= to; column++)
          visit(row * this.across + column, left + (column + 0.5) * this.step, y);
      }
    }
  }
}

/** Where a closed line crosses a height. */
function crossingsAt(edge: readonly Point[], y: Mm): Mm[] {
  const found: Mm[] = [];
  edge.forEach(([ax, ay], i) => {
    const [bx, by] = edge[(i + 1) % edge.length] as Point;
    if (ay > y !== by > y) found.push(ax + ((y - ay) / (by - ay)) * (bx - ax));
  });
  return found;
}

/** The way back from the piece to a part's own places. */
function homeOf({ x, y, degrees, flip }: Lying): (px: Mm, py: Mm) => Point {
  const angle = (-degrees * Math.PI) / 180;
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  return (px, py) => {
    const [dx, dy] = [px - x, py - y];
    const along = dx * cos - dy * sin;
    return [flip ? -along : along, dx * sin + dy * cos];
  };
}

/** The cells that a part covers, one after the other: their numbers, and how far it reaches over what it rests on. */
interface Cells {
  readonly count: number;
  readonly at: Int32Array;
  readonly low: Float64Array;
  readonly high: Float64Array;
}

function cellsUnder({ solid, place, edge }: Pick<Settled, 'solid' | 'place' | 'edge'>, heights: Heights): Cells {
  const home = homeOf(place);
  const edges = solid.opening ? [edge, edgeAt(solid.opening, place)] : [edge];
  const { at, low, high } = heights.cells;
  let count = 0;
  heights.each(edges, (cell, x, y) => {
    const reach = solid.reach(...home(x, y));
    if (!reach) return;
    at[count] = cell;
    low[count] = reach.low;
    high[count] = reach.high;
    count++;
  });
  return { count, at: at.subarray(0, count), low: low.subarray(0, count), high: high.subarray(0, count) };
}

/** From the lowest to the highest of each column: as it is seen from the side. */
function sideOf({ at, high, low }: Cells, bottoms: Float64Array, heights: Heights): Point[] {
  const lowest = new Float64Array(heights.across).fill(Infinity);
  const highest = new Float64Array(heights.across).fill(-Infinity);
  at.forEach((cell, i) => {
    const column = cell % heights.across;
    const from = bottoms[i] as number;
    const to = from + (high[i] as number) - (low[i] as number);
    if (from < (lowest[column] as number)) lowest[column] = from;
    if (to > (highest[column] as number)) highest[column] = to;
  });
  const columns = [...highest.keys()].filter((column) => Number.isFinite(highest[column]));
  const x = (column: number): Mm => heights.extent.left + (column + 0.5) * heights.step;
  const upper = columns.map((column): Point => [x(column), highest[column] as number]);
  const lower = columns.map((column): Point => [x(column), lowest[column] as number]).reverse();
  return [...upper, ...lower];
}

/** Share of its bend up to which a sheet is held to lie flat. */
const FLAT = 0.1;

/** How high what is below a sheet is where it is not bent up: the middle of those heights. */
function restsAt({ at, low }: Cells, { top }: Heights): Mm {
  const least = low.reduce((a, b) => Math.min(a, b), Infinity);
  const most = low.reduce((a, b) => Math.max(a, b), -Infinity);
  const flat = at.filter((_, i) => (low[i] as number) - least <= (most - least) * FLAT);
  const sorted = Float64Array.from(flat, (cell) => top[cell] as number).sort();
  return sorted[sorted.length >> 1] ?? 0;
}

/** How low a part reaches in each of its cells, once it is put down. */
function bottomsOf({ part, solid }: Pick<Settled, 'part' | 'solid'>, cells: Cells, heights: Heights): Float64Array {
  const { at, low, high } = cells;
  if (part.under === true) {
    const down = high.reduce((a, b) => Math.max(a, b), 0);
    return low.map((value) => value - down);
  }
  if (!solid.drapes) {
    let rests = 0;
    for (let i = 0; i < cells.count; i++)
      rests = Math.max(rests, (heights.top[at[i] as number] as number) - (low[i] as number));
    return low.map((value) => value + rests);
  }
  // a sheet lies on what is below; bent up, it leaves that where its bend is higher
  const flat = restsAt(cells, heights);
  return low.map((value, i) => Math.max(heights.top[at[i] as number] as number, flat + value));
}

/** Puts one part down on what lies there already. */
function settle(laid: Pick<Settled, 'part' | 'solid' | 'place'>, heights: Heights): Settled {
  const { part, solid, place } = laid;
  const edge = edgeAt(solid.outline, place);
  const cells = cellsUnder({ solid, place, edge }, heights);
  const bottoms = bottomsOf(laid, cells, heights);
  let [bottom, top] = [Infinity, -Infinity];
  for (let i = 0; i < cells.count; i++) {
    const cell = cells.at[i] as number;
    const from = bottoms[i] as number;
    const thick = (cells.high[i] as number) - (cells.low[i] as number);
    bottom = Math.min(bottom, from);
    top = Math.max(top, from + thick);
    if (part.under !== true) heights.top[cell] = Math.max(heights.top[cell] as number, from + thick);
    if (part.shape.is !== 'finding') heights.clay[cell] = (heights.clay[cell] as number) + thick;
  }
  const seen = cells.count > 0;
  const side = sideOf(cells, bottoms, heights);
  return { part, solid, place, edge, bottom: seen ? bottom : 0, top: seen ? top : 0, side };
}

/**
 * Puts a piece together: each part rests on what lies below it, a ball on the highest place, a sheet on all of it.
 * @param parts as `layPiece` laid them @returns null where there is nothing
 */
export function settlePiece(parts: readonly LaidPart[]): SettledPiece | null {
  const extent = extentOfAll(parts);
  if (!extent) return null;
  const heights = new Heights(extent);
  const all: Settled[] = [];
  for (const { part, solid, lying } of parts)
    for (const place of lying) all.push(settle({ part, solid, place }, heights));
  const thickest = heights.clay.reduce((most, mm) => Math.max(most, mm), 0);
  return {
    parts: all,
    extent,
    bottom: Math.min(...all.map((s) => s.bottom)),
    top: Math.max(...all.map((s) => s.top)),
    // cells are looked at in their middles: a ball is as thick as it is
    thickest: Math.max(thickest, ...parts.map(({ solid }) => solid.thickest)),
  };
}
