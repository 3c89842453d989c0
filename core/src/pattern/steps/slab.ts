import { among, whole } from '#core/document';
import {
  areaOf,
  extentOf,
  rectangle,
  squeezedTogether,
  stretched,
  turnedBy,
  type CaneState,
  type Point,
} from '#core/cane';
import { once, type Body, type Field } from '#core/pattern/body';
import type { Doing } from '#core/pattern/document';
import { seeded } from '#core/units';
import type { BeginKind, PatternContext } from './kind.js';
import { saltOf, wholeIn } from './measure.js';
import {
  MISSED_BY,
  TURNED,
  TURNED_BY,
  checkCount,
  facesOf,
  sliceKinds,
  slicesToCut,
  turnOf,
  volumesOfSlices,
  type SliceOf,
  type SlicesTurned,
} from './slices.js';

export const SLAB_LAID = ['rows', 'offset', 'chance'] as const;

/**
 * Slices of canes laid edge to edge like a puzzle, without a ground, and pressed until no gap is left: as thick as the
 * thinnest of them, so that thicker ones grow the more.
 */
export interface Slab extends Doing<'slab'> {
  readonly slices: readonly SliceOf[];
  readonly columns: number;
  readonly rows: number;
  readonly laid: (typeof SLAB_LAID)[number];
  readonly turned: SlicesTurned;
  readonly seed: number;
}

const MOST_ACROSS = 60;
/** By how much of a column or a row a slice that chance lays lies beside its place. */
const BESIDE = 0.35;

/** Which kind lies where: in turn, or shuffled. */
function kindsOf({ slices, columns, rows, laid, seed }: Slab): number[] {
  const count = columns * rows;
  const kinds = Array.from({ length: count }, (_, k) => {
    const [column, row] = [k % columns, Math.floor(k / columns)];
    return (laid === 'chance' ? k : column + row) % slices.length;
  });
  if (laid !== 'chance') return kinds;
  const chance = seeded(seed * 733 + 7);
  for (let i = count - 1; i > 0; i--) {
    const j = Math.floor(chance() * (i + 1));
    [kinds[i], kinds[j]] = [kinds[j] as number, kinds[i] as number];
  }
  return kinds;
}

/** Where slice k is laid at first, as shares of the width and the length of the slab, from its middle. */
function placeOf(k: number, { columns, rows, laid }: Slab, chance: () => number): Point {
  const [column, row] = [k % columns, Math.floor(k / columns)];
  const shift = row % 2 === 0 ? -0.25 : 0.25;
  const beside = (): number => (laid === 'chance' ? (chance() - 0.5) * 2 * BESIDE : 0);
  const x = column + 0.5 + (laid === 'offset' ? shift : 0) + beside();
  return [x / columns - 0.5, (row + 0.5 + beside()) / rows - 0.5];
}

/** The slices as the rods of a bundle: each as large as its clay is at the thickness of the slab. */
function rodsOf(step: Slab, context: PatternContext, thick: number): readonly CaneState[] {
  const faces = facesOf(step.slices, context);
  const chance = seeded(step.seed * 401 + saltOf(context, 0));
  return kindsOf(step).map((kind, k) => {
    const slice = step.slices[kind] as SliceOf;
    const grown = Math.sqrt(slice.thickness / thick);
    const hands = TURNED_BY * context.wobble * (2 * chance() - 1);
    const degrees = slice.degrees + turnOf(step.turned, k, chance) + hands;
    return turnedBy(stretched(faces[kind] as CaneState, grown, grown), degrees);
  });
}

/** @throws Complaint of a cane, of a count, or `cane/cells` */
function laidOut(step: Slab, context: PatternContext): Body {
  const { columns, rows, slices } = step;
  checkCount(wholeIn(columns, 'Columns', 1, MOST_ACROSS) * wholeIn(rows, 'Rows', 1, MOST_ACROSS));
  facesOf(slices, context);
  const thick = Math.min(...slices.map((s) => s.thickness));
  const rods = rodsOf(step, context, thick);
  const area = rods.reduce((sum, rod) => sum + areaOf(rod.outline), 0);
  const boxes = rods.map((rod) => extentOf(rod.outline));
  const shape =
    (columns * boxes.reduce((sum, b) => sum + b.width, 0)) / (rows * boxes.reduce((sum, b) => sum + b.height, 0));
  const [width, height] = [Math.sqrt(area * shape), Math.sqrt(area / shape)];
  const chance = seeded(step.seed * 977 + saltOf(context, 1));
  const missed = (): number => MISSED_BY * context.wobble * (2 * chance() - 1);
  const places = rods.map((_, k): Point => {
    const [u, v] = placeOf(k, step, chance);
    return [u * width + missed(), v * height + missed()];
  });
  const one = rods.length === 1;
  const { sample } = squeezedTogether(rods, rectangle(width, height), one ? [[0, 0]] : places, 1);
  const field: Field = context.heights ? (_, __, z) => z : (x, y) => sample(x, y);
  return {
    ...{ form: 'sheet', round: false, width, height, thick, field, count: 1, specks: [] },
    volumes: once(() => volumesOfSlices(slices, kindsOf(step), context)),
  };
}

export const slab: BeginKind<Slab> = {
  fields: {
    slices: sliceKinds,
    columns: whole(1, MOST_ACROSS),
    rows: whole(1, MOST_ACROSS),
    laid: among(...SLAB_LAID),
    turned: among(...TURNED),
    seed: whole(0, 1_000_000),
  },
  starts: (step, _, context) => slicesToCut(step.slices, kindsOf(step), context),
  begin: laidOut,
};
