import { inBoth, showSize, type Mm } from '#core/units';
import { cutterArea, showCutter, type Cutter } from './cutter.js';
import { capacityOf, centresOf, gridsOf, lengthOf, rowsFor, type Grid, type Pattern } from './rows.js';
import { complaint } from './sentences.js';

export type { Pattern } from './rows.js';

/** The sheet that may be rolled: `bridge` is the clay left between two cuts and at the edges. */
export interface SheetLimits {
  readonly width: Mm;
  readonly length: Mm;
  readonly bridge: Mm;
  /** at each edge, of a sheet that comes out ragged: rolled, and not cut from; left out: none */
  readonly edge?: Mm;
}

/** Where to cut on each of `sheets` equal sheets. */
export interface Layout {
  readonly pattern: Pattern;
  /** a rectangle lies on its side */
  readonly turned: boolean;
  readonly width: Mm;
  readonly length: Mm;
  readonly perSheet: number;
  readonly sheets: number;
  /** centres on one sheet, x then y, mm from the lower left corner; row by row */
  readonly centres: Float64Array;
  /** share of the clay between the cuts, counting only the pieces asked for */
  readonly scrap: number;
}

/** What is to be least: the clay of the sheets, or the length that is used of a sheet that is there. */
export type Least = 'clay' | 'length';

/** The room along the rows of a grid on a sheet. */
const roomOf = (grid: Grid, limits: SheetLimits): Mm => (grid.along ? limits.width : limits.length);

interface Holding {
  readonly grid: Grid;
  readonly capacity: number;
}

/** Every grid with the pieces that it holds on one sheet. */
const holding = (cutter: Cutter, limits: SheetLimits): Holding[] =>
  gridsOf(cutter, limits).map((grid) => ({ grid, capacity: capacityOf(grid, roomOf(grid, limits)) }));

const mostOf = (all: readonly Holding[]): number => all.reduce((most, { capacity }) => Math.max(most, capacity), 0);

/** The most pieces that one sheet of these limits gives; 0 where none fits. */
export const mostOn = (cutter: Cutter, limits: SheetLimits): number => mostOf(holding(cutter, limits));

/** So many pieces in the rows of a grid, on so many equal sheets. */
interface Tried {
  readonly grid: Grid;
  readonly sheets: number;
  readonly perSheet: number;
  readonly width: Mm;
  readonly length: Mm;
}

function tryOn(grid: Grid, count: number, sheets: number): Tried {
  const perSheet = Math.ceil(count / sheets);
  const along = lengthOf(grid, rowsFor(grid, perSheet));
  const [width, length] = grid.along ? [along, grid.width] : [grid.width, along];
  return { grid, sheets, perSheet, width, length };
}

/** Sheets beyond the fewest that are tried, so that a piece less never takes more clay than a piece more. */
const MORE_SHEETS = 2;
const HAIR = 1e-9;

/** Whether one try is better than another: less clay (or length), then fewer sheets, then plain rows. */
function isBetter(one: Tried, other: Tried | null, least: Least): boolean {
  if (!other) return true;
  const size = ({ width, length, sheets }: Tried): number => (least === 'length' ? length : width * length * sheets);
  const [a, b] = [size(one), size(other)];
  if (Math.abs(a - b) > HAIR * b) return a < b;
  return one.sheets < other.sheets;
}

/**
 * The layout that takes the least clay for `count` pieces: in rows or in the
 * gaps, close or spread, across the sheet or along it, upright or turned,
 * on equal sheets within the limits. A piece less never takes more clay.
 * @param mostSheets on no more sheets than these
 * @throws Complaint `cutter/larger` where not even one piece fits on a sheet
 */
export function cuttingLayout(
  cutter: Cutter,
  count: number,
  sheet: SheetLimits,
  mostSheets = Infinity,
  least: Least = 'clay',
): Layout {
  const edge = sheet.edge ?? 0;
  const limits = { ...sheet, width: sheet.width - 2 * edge, length: sheet.length - 2 * edge };
  let best: Tried | null = null;
  const all = holding(cutter, limits);
  const fewest = Math.ceil(count / Math.max(1, mostOf(all)));
  for (const { grid, capacity } of all) {
    for (let sheets = fewest; sheets <= Math.min(mostSheets, count, fewest + MORE_SHEETS); sheets++) {
      if (capacity * sheets < count) continue;
      const tried = tryOn(grid, count, sheets);
      if (isBetter(tried, best, least)) best = tried;
    }
  }
  if (!best) {
    throw complaint('cutter/larger', {
      cutter: inBoth((system) => showCutter(cutter, system)),
      sheet: inBoth((system) => showSize(Math.max(0, limits.width), Math.max(0, limits.length), system)),
    });
  }
  const { grid, sheets, perSheet } = best;
  const [width, length] = [best.width + 2 * edge, best.length + 2 * edge];
  return {
    pattern: grid.pattern,
    turned: grid.turned,
    width,
    length,
    perSheet,
    sheets,
    centres: centresOf(grid, rowsFor(grid, perSheet), perSheet).map((at) => at + edge),
    scrap: 1 - (cutterArea(cutter) * count) / (width * length * sheets),
  };
}
