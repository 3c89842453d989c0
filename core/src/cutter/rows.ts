import type { Mm } from '#core/units';
import { cutterBox, type Cutter } from './cutter.js';

export type Pattern = 'rows' | 'hexagonal';

/**
 * A way to stand pieces in rows across a sheet. Rows come in two kinds: full
 * ones, and ones that lie in the gaps of their neighbours.
 */
export interface Grid {
  readonly pattern: Pattern;
  /** a rectangle lies on its side */
  readonly turned: boolean;
  /** rows run along the sheet instead of across */
  readonly along: boolean;
  readonly box: { readonly width: Mm; readonly height: Mm };
  /** pieces of a full row, and of one in the gaps */
  readonly full: number;
  readonly gaps: number;
  /** from a piece to the next in its row */
  readonly step: Mm;
  /** from a full row to the next full one, and to one in the gaps */
  readonly straight: Mm;
  readonly nested: Mm;
  /** across the rows, with the bridges at the edges */
  readonly width: Mm;
  readonly bridge: Mm;
}

/** `rows` in all; `straight` of the steps between them lead from a full row to a full one. */
export interface Rows {
  readonly rows: number;
  readonly straight: number;
}

/** Spacings that are tried between the narrowest and the widest a row can have. */
const SPACINGS = 8;
/** Rows farther apart in themselves lie deeper in each other, until those of the same kind touch. */
const WIDEST = Math.sqrt(3);
const HAIR = 1e-9;

const fits = (space: Mm, size: Mm, bridge: Mm): number => Math.floor((space - bridge) / (size + bridge) + HAIR);

/** Straight rows of a box, as many in a row as the width allows. */
export function straightGrids(box: Grid['box'], turned: boolean, along: boolean, room: Mm, bridge: Mm): Grid[] {
  const step = box.width + bridge;
  const straight = box.height + bridge;
  return Array.from({ length: Math.max(0, fits(room, box.width, bridge)) }, (_, i): Grid => ({
    pattern: 'rows',
    turned,
    along,
    box,
    full: i + 1,
    gaps: 0,
    step,
    straight,
    nested: Infinity,
    width: (i + 1) * step + bridge,
    bridge,
  }));
}

/** Rounds in the gaps of the row before: close together, and spread as far as the width allows. */
function nestedGrids(diameter: Mm, along: boolean, room: Mm, bridge: Mm): Grid[] {
  const touch = diameter + bridge;
  const edges = diameter + 2 * bridge;
  const found: Grid[] = [];
  for (let full = 1; full <= fits(room, diameter, bridge); full++) {
    // a row in the gaps has one piece less, or as many where half a step more fits
    for (const [gaps, steps] of [
      [full - 1, full - 1],
      [full, full - 0.5],
    ] as const) {
      if (gaps < 1) continue;
      const most = Math.min(WIDEST * touch, (room - edges) / steps);
      if (most < touch - HAIR) continue;
      for (let i = 0; i < SPACINGS; i++) {
        const step = touch + ((most - touch) * i) / (SPACINGS - 1);
        const nested = Math.sqrt(touch ** 2 - (step / 2) ** 2);
        found.push({
          pattern: 'hexagonal',
          turned: false,
          along,
          box: { width: diameter, height: diameter },
          full,
          gaps,
          step,
          straight: touch,
          nested,
          width: steps * step + edges,
          bridge,
        });
        if (most - touch < HAIR) break;
      }
    }
  }
  return found;
}

/** Every way to stand pieces on a sheet: across it, along it, upright, turned, straight, and in the gaps. */
export function gridsOf(
  cutter: Cutter,
  limits: { readonly width: Mm; readonly length: Mm; readonly bridge: Mm },
): Grid[] {
  const { width, length, bridge } = limits;
  const box = cutterBox(cutter);
  const found = straightGrids(box, false, false, width, bridge);
  if (cutter.shape === 'round') {
    return [...found, ...nestedGrids(box.width, false, width, bridge), ...nestedGrids(box.width, true, length, bridge)];
  }
  return box.width === box.height
    ? found
    : [...found, ...straightGrids({ width: box.height, height: box.width }, true, false, width, bridge)];
}

/** Along the rows, with the bridges at the edges. */
export const lengthOf = (grid: Grid, { rows, straight }: Rows): Mm =>
  straight * grid.straight +
  (rows - 1 - straight > 0 ? (rows - 1 - straight) * grid.nested : 0) +
  grid.box.height +
  2 * grid.bridge;

/** Full rows of so many: of neighbours at a nested step one lies in the gaps, of those at a straight step none. */
const fullRows = ({ rows, straight }: Rows): number => Math.floor((rows + straight + 1) / 2);
export const piecesIn = (grid: Grid, rows: Rows): number =>
  fullRows(rows) * grid.full + (rows.rows - fullRows(rows)) * grid.gaps;

/** The shortest rows that hold so many pieces. */
export function rowsFor(grid: Grid, count: number): Rows {
  const fewest = Math.ceil(count / grid.full);
  if (grid.pattern === 'rows') return { rows: fewest, straight: fewest - 1 };
  const most = Math.ceil((2 * count) / (grid.full + grid.gaps)) + 1;
  let best: Rows = { rows: fewest, straight: fewest - 1 };
  for (let rows = fewest; rows <= most; rows++) {
    const straight = fewestStraight(grid, rows, count);
    if (straight === null) continue;
    const tried = { rows, straight };
    if (lengthOf(grid, tried) < lengthOf(grid, best) - HAIR) best = tried;
  }
  return best;
}

function fewestStraight(grid: Grid, rows: number, count: number): number | null {
  // each two straight steps make one row in the gaps a full one
  const lacking = count - piecesIn(grid, { rows, straight: 0 });
  if (lacking <= 0) return 0;
  const gain = grid.full - grid.gaps;
  if (gain <= 0) return null;
  for (let straight = 1; straight < rows; straight++) if (piecesIn(grid, { rows, straight }) >= count) return straight;
  return null;
}

/** The most pieces within a length. */
export function capacityOf(grid: Grid, length: Mm): number {
  const room = length - 2 * grid.bridge - grid.box.height + HAIR;
  if (room < 0) return 0;
  if (grid.pattern === 'rows') return grid.full * (1 + Math.floor(room / grid.straight));
  let most = grid.full;
  for (let rows = 2; (rows - 1) * grid.nested <= room; rows++) {
    const straight = Math.min(rows - 1, Math.floor((room - (rows - 1) * grid.nested) / (grid.straight - grid.nested)));
    most = Math.max(most, piecesIn(grid, { rows, straight: grid.full > grid.gaps ? straight : 0 }));
  }
  return Math.max(most, grid.full * (1 + Math.floor(room / grid.straight)));
}

/** Centres of so many pieces, row by row, x then y; of rows along a sheet the other way round. */
export function centresOf(grid: Grid, rows: Rows, count: number): Float64Array {
  const centres = new Float64Array(2 * count);
  const [x, y] = grid.along ? [1, 0] : [0, 1];
  let inGaps = false;
  let up = grid.bridge + grid.box.height / 2;
  for (let i = 0, row = 0; i < count; row++) {
    const shift = inGaps ? grid.step / 2 : 0;
    for (let at = 0; at < (inGaps ? grid.gaps : grid.full) && i < count; at++, i++) {
      centres[2 * i + x] = grid.bridge + grid.box.width / 2 + at * grid.step + shift;
      centres[2 * i + y] = up;
    }
    // the straight steps come first
    const straight = row < rows.straight;
    up += straight ? grid.straight : grid.nested;
    if (!straight) inGaps = !inGaps;
  }
  return centres;
}
