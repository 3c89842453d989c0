import { complaint, inBoth, showSize, type Mm } from '#core/units';
import { cutterArea, cutterBox, showCutter, type Cutter } from './cutter.js';

export type Pattern = 'rows' | 'hexagonal';

/** The sheet that may be rolled: `bridge` is the clay left between two cuts and at the edges. */
export interface SheetLimits {
  readonly width: Mm;
  readonly length: Mm;
  readonly bridge: Mm;
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
  /** centres on one sheet, x then y, mm from the lower left corner; across first */
  readonly centres: Float64Array;
  /** share of the clay between the cuts, counting only the pieces asked for */
  readonly scrap: number;
}

interface Grid {
  readonly pattern: Pattern;
  readonly turned: boolean;
  readonly box: { readonly width: Mm; readonly height: Mm };
  /** pieces in an even and in an odd row */
  readonly even: number;
  readonly odd: number;
  readonly pitch: Mm;
  readonly width: Mm;
}

const HEX_PITCH = Math.sqrt(3) / 2;

const fits = (space: Mm, size: Mm, bridge: Mm): number => Math.floor((space - bridge) / (size + bridge) + 1e-9);

/** Every way to stand pieces in rows that the width allows. */
function grids(cutter: Cutter, limits: SheetLimits): Grid[] {
  const { bridge } = limits;
  const box = cutterBox(cutter);
  const found: Grid[] = [];
  const boxes = cutter.shape === 'round' || box.width === box.height
    ? [box] : [box, { width: box.height, height: box.width }];
  for (const each of boxes) {
    const step = each.width + bridge;
    for (let n = 1; n <= fits(limits.width, each.width, bridge); n++) {
      const width = n * step + bridge;
      found.push({ pattern: 'rows', turned: each !== box, box: each, even: n, odd: n, pitch: each.height + bridge, width });
      if (cutter.shape !== 'round') continue;
      const hex = { pattern: 'hexagonal', turned: false, box: each, pitch: step * HEX_PITCH } as const;
      if (n > 1) found.push({ ...hex, even: n, odd: n - 1, width });
      if (width + step / 2 <= limits.width + 1e-9) found.push({ ...hex, even: n, odd: n, width: width + step / 2 });
    }
  }
  return found;
}

const lengthOfRows = (grid: Grid, rows: number, bridge: Mm): Mm =>
  (rows - 1) * grid.pitch + grid.box.height + 2 * bridge;

function rowsFor(grid: Grid, count: number): number {
  const pair = grid.even + grid.odd;
  const rest = count % pair;
  return 2 * Math.floor(count / pair) + (rest === 0 ? 0 : rest <= grid.even ? 1 : 2);
}

function capacity(grid: Grid, limits: SheetLimits): number {
  const { bridge } = limits;
  const rows = Math.floor((limits.length - 2 * bridge - grid.box.height) / grid.pitch + 1e-9) + 1;
  return rows < 1 ? 0 : Math.ceil(rows / 2) * grid.even + Math.floor(rows / 2) * grid.odd;
}

function centresOf(grid: Grid, count: number, bridge: Mm): Float64Array {
  const centres = new Float64Array(2 * count);
  const step = grid.box.width + bridge;
  for (let i = 0, row = 0; i < count; row++) {
    const odd = row % 2 === 1;
    const shift = odd && grid.pattern === 'hexagonal' ? step / 2 : 0;
    for (let col = 0; col < (odd ? grid.odd : grid.even) && i < count; col++, i++) {
      centres[2 * i] = bridge + grid.box.width / 2 + col * step + shift;
      centres[2 * i + 1] = bridge + grid.box.height / 2 + row * grid.pitch;
    }
  }
  return centres;
}

/** The most pieces that one sheet of these limits gives; 0 where none fits. */
export const mostOn = (cutter: Cutter, limits: SheetLimits): number =>
  grids(cutter, limits).reduce((most, grid) => Math.max(most, capacity(grid, limits)), 0);

/**
 * The layout that takes the least clay for `count` pieces: rows or
 * hexagonal, upright or turned, on as few equal sheets as the limits allow.
 * @param mostSheets on no more sheets than these
 * @throws Complaint `cutter/larger` where not even one piece fits on a sheet
 */
export function cuttingLayout(cutter: Cutter, count: number, limits: SheetLimits, mostSheets = Infinity): Layout {
  const { bridge } = limits;
  let best: Layout | null = null;
  for (const grid of grids(cutter, limits)) {
    const most = capacity(grid, limits);
    if (most < 1) continue;
    const sheets = Math.ceil(count / most);
    if (sheets > mostSheets) continue;
    const perSheet = Math.ceil(count / sheets);
    const length = lengthOfRows(grid, rowsFor(grid, perSheet), bridge);
    const clay = grid.width * length * sheets;
    const scrap = 1 - (cutterArea(cutter) * count) / clay;
    if (best && scrap > best.scrap - 1e-9) continue;
    best = {
      pattern: grid.pattern, turned: grid.turned, width: grid.width, length, perSheet, sheets,
      centres: centresOf(grid, perSheet, bridge), scrap,
    };
  }
  if (!best) {
    throw complaint('cutter/larger', {
      cutter: inBoth((system) => showCutter(cutter, system)), sheet: inBoth((system) => showSize(limits.width, limits.length, system)),
    });
  }
  return best;
}
