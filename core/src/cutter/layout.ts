import { inBoth, showSize, type Mm, type Mm2 } from '#core/units';
import { cutterArea, cutterBox, showCutter, type Cutter } from './cutter.js';
import { latticesOf, type Lattice } from './lattice.js';
import { countIn, heightOf, placesOf, roomsOf, rowsFor as rowsOfLattice, rowsWithin, type Places } from './nested.js';
import {
  capacityOf,
  centresOf,
  gridsOf,
  lengthOf,
  rowsFor,
  straightGrids,
  type Grid,
  type Pattern as GridPattern,
} from './rows.js';
import { complaint } from './sentences.js';

/** `nested`: in each other, with their neighbours turned or mirrored; `hand`: where somebody put them. */
export type Pattern = GridPattern | 'nested' | 'hand';

/**
 * How pieces lie on a sheet whose fade runs across it: as close as they go, or in rows, all upright or all on their
 * side, so that the fade shows from side to side or from end to end of each.
 */
export const LIES = ['close', 'upright', 'sideways'] as const;
export type Lie = (typeof LIES)[number];

/** The sheet that may be rolled: `bridge` is the clay left between two cuts and at the edges. */
export interface SheetLimits {
  readonly width: Mm;
  readonly length: Mm;
  readonly bridge: Mm;
  /** at each edge, of a sheet that comes out ragged: rolled, and not cut from; left out: none */
  readonly edge?: Mm;
  /** every second piece is mirrored, for left and right */
  readonly pairs?: boolean;
  readonly lie?: Lie;
}

/** Where to cut on each of `sheets` equal sheets. */
export interface Layout extends Places {
  readonly pattern: Pattern;
  /** a rectangle lies on its side */
  readonly turned: boolean;
  readonly width: Mm;
  readonly length: Mm;
  readonly perSheet: number;
  readonly sheets: number;
  /** share of the clay between the cuts, counting only the pieces asked for */
  readonly scrap: number;
  /** mm² of each sheet, where it is no rectangle of that width and length */
  readonly area?: Mm2;
}

/** What is to be least: the clay of the sheets, or the length that is used of a sheet that is there. */
export type Least = 'clay' | 'length';

/** A way to lay cuts on a sheet of some limits. */
interface Way {
  readonly pattern: Pattern;
  readonly turned: boolean;
  /** the most on one sheet */
  readonly capacity: number;
  /** the sheet that so many take */
  readonly sizeFor: (count: number) => { readonly width: Mm; readonly length: Mm };
  readonly places: (count: number) => Places;
}

/** Rows of rounds and of boxes. */
function gridWays(grids: readonly Grid[], limits: SheetLimits): Way[] {
  return grids.map((grid) => ({
    pattern: grid.pattern,
    turned: grid.turned,
    capacity: capacityOf(grid, grid.along ? limits.width : limits.length),
    sizeFor: (count) => gridSize(grid, count),
    places: (count) => ({
      centres: centresOf(grid, rowsFor(grid, count), count),
      turns: new Float64Array(count).fill(grid.turned ? 90 : 0),
      flips: Float64Array.from({ length: count }, (_, i) => (limits.pairs ? i % 2 : 0)),
    }),
  }));
}

function gridSize(grid: Grid, count: number): { width: Mm; length: Mm } {
  const along = lengthOf(grid, rowsFor(grid, count));
  return grid.along ? { width: along, length: grid.width } : { width: grid.width, length: along };
}

/** A lattice whose rows have one room, on a sheet. */
function latticeWay(lattice: Lattice, room: Mm, across: Mm, along: boolean, bridge: Mm): Way {
  let capacity = 0;
  const rows = rowsWithin(lattice, across - 2 * bridge);
  for (let row = 0; row < rows; row++) capacity += countIn(lattice, row, room);
  const sizeFor = (count: number): { width: Mm; length: Mm } => {
    const [row, up] = [room + 2 * bridge, heightOf(lattice, rowsOfLattice(lattice, room, count)) + 2 * bridge];
    return along ? { width: up, length: row } : { width: row, length: up };
  };
  const places = (count: number): Places => placesOf({ lattice, room, bridge, along }, count);
  return { pattern: 'nested', turned: false, capacity, sizeFor, places };
}

/** Cuts in each other, in rows across the sheet and along it. */
function nestedWays(cutter: Cutter, limits: SheetLimits): Way[] {
  const { width, length, bridge, pairs = false } = limits;
  return latticesOf(cutter, bridge, pairs).flatMap((lattice) =>
    [false, true].flatMap((along) => {
      const [row, across] = along ? [length, width] : [width, length];
      return roomsOf(lattice, row - 2 * bridge).map((room) => latticeWay(lattice, room, across, along, bridge));
    }),
  );
}

/** Rounds and rectangles lie best in rows of their own; everything else in each other. */
function waysOf(cutter: Cutter, limits: SheetLimits): Way[] {
  const { lie = 'close', width, bridge } = limits;
  if (lie !== 'close') {
    const box = lie === 'upright' ? cutterBox(cutter) : { width: cutter.height, height: cutter.width };
    return gridWays(straightGrids(box, lie === 'sideways', false, width, bridge), limits);
  }
  const grids = gridWays(gridsOf(cutter, limits), limits);
  if (cutter.shape === 'round' || cutter.shape === 'rectangle') return grids;
  return [...grids, ...nestedWays(cutter, limits)];
}

const mostOf = (ways: readonly Way[]): number => ways.reduce((most, { capacity }) => Math.max(most, capacity), 0);

/** The most pieces that one sheet of these limits gives; 0 where none fits. */
export const mostOn = (cutter: Cutter, limits: SheetLimits): number => mostOf(waysOf(cutter, limits));

/** So many pieces laid in one way, on so many equal sheets. */
interface Tried {
  readonly way: Way;
  readonly sheets: number;
  readonly perSheet: number;
  readonly width: Mm;
  readonly length: Mm;
}

function tryOn(way: Way, count: number, sheets: number): Tried {
  const perSheet = Math.ceil(count / sheets);
  return { way, sheets, perSheet, ...way.sizeFor(perSheet) };
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
 * The layout that takes the least clay for `count` pieces: in rows or in the gaps, close or spread, in each other,
 * across the sheet or along it, upright or turned, on equal sheets within the limits. A piece less never takes more
 * clay.
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
  const all = waysOf(cutter, limits);
  const fewest = Math.ceil(count / Math.max(1, mostOf(all)));
  for (const way of all) {
    for (let sheets = fewest; sheets <= Math.min(mostSheets, count, fewest + MORE_SHEETS); sheets++) {
      if (way.capacity * sheets < count) continue;
      const tried = tryOn(way, count, sheets);
      if (isBetter(tried, best, least)) best = tried;
    }
  }
  if (!best) {
    throw complaint('cutter/larger', {
      cutter: inBoth((system) => showCutter(cutter, system)),
      sheet: inBoth((system) => showSize(Math.max(0, limits.width), Math.max(0, limits.length), system)),
    });
  }
  const { way, sheets, perSheet } = best;
  const [width, length] = [best.width + 2 * edge, best.length + 2 * edge];
  const { centres, turns, flips } = way.places(perSheet);
  return {
    pattern: way.pattern,
    turned: way.turned,
    ...{ width, length, perSheet, sheets },
    ...{ centres: centres.map((at) => at + edge), turns, flips },
    scrap: 1 - (cutterArea(cutter) * count) / (width * length * sheets),
  };
}
