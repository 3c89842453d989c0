import { among, list, part, whole, type AnyStep, type Doing, type PartOf } from '#core/cane/document';
import { extentOf, rectangle } from '#core/cane/outlines';
import { checkMeet, lengthOf, lying, reductionsOf, straight, using } from './joins.js';
import type { ChangeKind } from './kind.js';
import { wholeIn } from './measure.js';
import { sumOf, type CaneState, type Sampler, type Unspoilt } from './state.js';
import { complaint } from './sentences.js';

export const TURNS = ['none', 'quarter', 'half', 'mirror'] as const;
/** How neighbours differ: not at all, each a quarter or half further, or every other one mirrored. */
export type Turns = (typeof TURNS)[number];

/** Pieces in rows and columns; with other canes, they take turns like the squares of a board. */
export interface Grid<S = AnyStep> extends Doing<'grid'> {
  readonly rows: number;
  readonly columns: number;
  readonly turns: Turns;
  readonly others?: readonly PartOf<S>[];
}

const [MOST_ROWS, MOST_OTHERS] = [40, 11];
const SQUARE = 1e-6;

/** How many squares each cane fills, the row's own first: they take turns like the squares of a board. */
export function gridUses({ rows, columns, others = [] }: Pick<Grid, 'rows' | 'columns' | 'others'>): number[] {
  const uses = Array.from({ length: 1 + others.length }, () => 0);
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++) uses[(row + column) % uses.length]! += 1;
  return uses;
}

const around = (x: number, y: number, quarter: number): readonly [number, number] => {
  switch (quarter & 3) {
    case 0:
      return [x, y];
    case 1:
      return [y, -x];
    case 2:
      return [-x, -y];
    default:
      return [-y, x];
  }
};

/** A face in the square of its place, turned as its neighbours ask. */
function turnedIn(inner: Sampler, turns: Turns, x: number, y: number, row: number, column: number): number {
  switch (turns) {
    case 'none':
      return inner(x, y);
    case 'mirror':
      return inner(column % 2 === 1 ? -x : x, row % 2 === 1 ? -y : y);
    case 'half':
      return inner(...around(x, y, 2 * ((row + column) % 2)));
    case 'quarter':
      return inner(...around(x, y, row % 2 === 0 ? column : 3 - column));
  }
}

/** On its longer side. @throws Complaint `cane/straight` */
function lyingFlat(state: CaneState): CaneState {
  const { width, height } = extentOf(state.outline);
  return lying(state, width >= height ? 'width' : 'height');
}

/** @throws Complaint `cane/count`, `cane/straight`, `cane/quarter`, `cane/sides`, `cane/pieces` */
function joined(row: CaneState, step: Grid, others: readonly CaneState[]): Unspoilt {
  const { rows, columns, turns } = step;
  const [state, parts] = [lyingFlat(row), others.map(lyingFlat)];
  wholeIn(rows, 'The number of rows', 1, MOST_ROWS);
  wholeIn(columns, 'The number of columns', 1, MOST_ROWS);
  const { width: w, height: h } = straight(state);
  if (turns === 'quarter' && Math.abs(w / h - 1) > SQUARE) throw complaint('cane/quarter');
  for (const own of parts.map(straight)) {
    checkMeet(w, own.width);
    checkMeet(h, own.height);
  }
  const kinds = [state, ...parts];
  const samplers = kinds.map((s) => s.sample);
  const [W, H] = [w * columns, h * rows];
  const sample: Sampler = (x, y) => {
    const column = Math.min(columns - 1, Math.max(0, Math.floor((x + W / 2) / w)));
    const row = Math.min(rows - 1, Math.max(0, Math.floor((y + H / 2) / h)));
    const inner = samplers[(row + column) % samplers.length] as Sampler;
    return turnedIn(inner, turns, x + W / 2 - (column + 0.5) * w, y + H / 2 - (row + 0.5) * h, row, column);
  };
  const uses = gridUses(step);
  return {
    outline: rectangle(W, H),
    length: lengthOf(kinds),
    count: using(state, uses[0] ?? 1),
    sample,
    reductions: reductionsOf(kinds),
    amounts: sumOf(...kinds.map((s, k) => [s.amounts, uses[k] ?? 0] as const)),
  };
}

export const grid: ChangeKind<Grid> = {
  fields: {
    rows: whole(1, MOST_ROWS),
    columns: whole(1, MOST_ROWS),
    turns: among(...TURNS),
    'others?': list(part, 0, MOST_OTHERS),
  },
  parts: {
    of: ({ others = [] }) => others,
    with: (step, at, other) => ({ ...step, others: (step.others ?? []).map((o, i) => (i === at ? other : o)) }),
    counts: (step) => gridUses(step).slice(1),
  },
  change: joined,
  own: (step) => gridUses(step)[0] ?? 1,
  joins: true,
  spoils: true,
};
