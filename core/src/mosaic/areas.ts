import { deltaE, type Lab } from '#core/colour';
import type { Mm2 } from '#core/units';
import { labAt, type Grid } from './grid.js';

/** Patches of one colour of a picture: for each cell the number of its patch, −1 outside the bezel. */
export interface Areas {
  readonly of: Int32Array;
  /** of each patch: cells */
  readonly sizes: readonly number[];
  /** of each patch: which of the colours it has */
  readonly colours: readonly number[];
}

/** Which colour each cell is nearest to; −1 outside. */
function nearestColours(grid: Grid, colours: readonly Lab[]): Int32Array {
  const known = new Map<number, number>();
  return Int32Array.from(grid.inside, (inside, at) => {
    if (inside === 0) return -1;
    const key = keyOf(grid, at);
    const found = known.get(key);
    if (found !== undefined) return found;
    const best = nearestOf(labAt(grid, at), colours);
    known.set(key, best);
    return best;
  });
}

/** Light that looks the same, as one number: each channel to one of 48 steps of its root. */
const STEPS = 48;
const keyOf = ({ light }: Grid, at: number): number =>
  [0, 1, 2].reduce((key, c) => key * STEPS + Math.round((STEPS - 1) * Math.sqrt(light[3 * at + c] ?? 0)), 0);

/** Which of some colours is nearest, ΔE00. */
export function nearestOf(lab: Lab, colours: readonly Lab[]): number {
  let [best, least] = [0, Infinity];
  colours.forEach((colour, k) => {
    const off = deltaE(lab, colour);
    if (off < least) [best, least] = [k, off];
  });
  return best;
}

/** Each cell as most of those around it: specks and ragged edges go. @param reach cells to each side */
function smoothed(labels: Int32Array, { columns, rows }: Grid, kinds: number, reach: number): Int32Array {
  const counts = new Int32Array(kinds);
  const result = new Int32Array(labels);
  for (let j = 0; j < rows; j++) {
    counts.fill(0);
    const column = (i: number, by: number): void => {
      if (i < 0 || i >= columns) return;
      for (let v = Math.max(0, j - reach); v <= Math.min(rows - 1, j + reach); v++) {
        const label = labels[v * columns + i] as number;
        if (label >= 0) counts[label] = (counts[label] as number) + by;
      }
    };
    for (let i = 0; i < reach; i++) column(i, 1);
    for (let i = 0; i < columns; i++) {
      column(i + reach, 1);
      column(i - reach - 1, -1);
      const at = j * columns + i;
      if ((labels[at] as number) >= 0) result[at] = mostOf(counts);
    }
  }
  return result;
}

function mostOf(counts: Int32Array): number {
  let best = 0;
  for (let k = 1; k < counts.length; k++) if ((counts[k] as number) > (counts[best] as number)) best = k;
  return best;
}

/** Patches of cells of one label that lie together. */
function patches(labels: Int32Array, { columns, rows }: Grid): { of: Int32Array; sizes: number[]; colours: number[] } {
  const of = new Int32Array(labels.length).fill(-1);
  const [sizes, colours]: [number[], number[]] = [[], []];
  const open: number[] = [];
  for (let first = 0; first < labels.length; first++) {
    const label = labels[first] as number;
    if (label < 0 || (of[first] as number) >= 0) continue;
    const own = sizes.length;
    let size = 0;
    of[first] = own;
    open.push(first);
    for (let at = open.pop(); at !== undefined; at = open.pop()) {
      size++;
      for (let side = 0; side < 4; side++) {
        const next = besideOn(at, side, columns, rows);
        if (next < 0 || labels[next] !== label || of[next] !== -1) continue;
        of[next] = own;
        open.push(next);
      }
    }
    sizes.push(size);
    colours.push(label);
  }
  return { of, sizes, colours };
}

/** The cell beside one, to the left, right, above or below; −1 beyond the grid. */
function besideOn(at: number, side: number, columns: number, rows: number): number {
  const i = at % columns;
  if (side === 0) return i > 0 ? at - 1 : -1;
  if (side === 1) return i < columns - 1 ? at + 1 : -1;
  if (side === 2) return at - columns;
  return at + columns < columns * rows ? at + columns : -1;
}

/** Gives patches that are too small to the neighbour they share most of their edge with. */
function withoutSmall(labels: Int32Array, { of, sizes }: Areas, grid: Grid, least: number): Int32Array {
  const { columns, rows } = grid;
  const edges = new Map<number, Map<number, number>>();
  of.forEach((own, at) => {
    if (own < 0 || (sizes[own] as number) >= least) return;
    for (let side = 0; side < 4; side++) {
      const other = labels[besideOn(at, side, columns, rows)] ?? -1;
      if (other < 0 || other === labels[at]) continue;
      const met = edges.get(own) ?? new Map<number, number>();
      met.set(other, (met.get(other) ?? 0) + 1);
      edges.set(own, met);
    }
  });
  const becomes = new Map(
    [...edges].map(([own, met]) => [own, [...met].reduce((a, b) => (b[1] > a[1] ? b : a))[0]] as const),
  );
  return labels.map((label, at) => becomes.get(of[at] as number) ?? label);
}

/** Rounds in which small patches are given away: what was given may still be small. */
const ROUNDS = 4;

/** The patches of a picture in some colours. @param least of a patch @param reach mm to which edges are smoothed */
export function areasOf(grid: Grid, colours: readonly Lab[], least: Mm2, reach: number): Areas {
  const cells = Math.max(1, Math.round(reach / grid.cell));
  let labels = smoothed(nearestColours(grid, colours), grid, colours.length, cells);
  let found = patches(labels, grid);
  const fewest = least / grid.cell ** 2;
  for (let round = 0; round < ROUNDS && found.sizes.some((size) => size < fewest); round++) {
    labels = withoutSmall(labels, found, grid, fewest);
    found = patches(labels, grid);
  }
  return found;
}
