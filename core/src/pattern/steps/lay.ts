import { LENGTH, among, material, number, whole } from '#core/document';
import type { MaterialKey } from '#core/cane';
import {
  AIR,
  FADE,
  at as found,
  discOfSquare,
  flat,
  measuredPieces,
  once,
  specksOf,
  sumOf,
  type Body,
  type Field,
  type Volumes,
} from '#core/pattern/body';
import type { Doing } from '#core/pattern/document';
import type { Mm } from '#core/units';
import type { ChangeKind } from './kind.js';
import { numberOf, positive, saltOf, wholeIn } from './measure.js';
import { ALONG, grownBy, type Along } from './roll.js';
import { complaint } from './sentences.js';

/**
 * Pieces laid on a backing in columns and rows, with gaps between, and rolled together: where a piece lies it is
 * thicker, and grows the more.
 */
export interface Lay extends Doing<'lay'> {
  readonly columns: number;
  readonly rows: number;
  readonly gap: Mm;
  readonly of: MaterialKey;
  readonly thickness: Mm;
  readonly to: Mm;
  readonly along: Along;
}

const MOST_ACROSS = 40;

/** Sizes before and after, mm: of a piece, and of the ground beside and below it. */
interface Tile {
  readonly before: { readonly width: Mm; readonly height: Mm };
  readonly width: Mm;
  readonly height: Mm;
  readonly beside: Mm;
  readonly below: Mm;
  /** of a piece on its backing, and of the ground alone */
  readonly thick: Mm;
  readonly ground: Mm;
}

/** A round piece is pressed to its neighbours: to a square as large. */
function sizeOf({ round, width, height }: Body): { readonly width: Mm; readonly height: Mm } {
  const by = round ? Math.sqrt(Math.PI) / 2 : 1;
  return { width: width * by, height: height * by };
}

/** Each region keeps its volume: a piece with its backing, the ground beside it, and the ground below both. */
function tileOf(body: Body, { gap, thickness, to, along }: Lay): Tile {
  const before = sizeOf(body);
  const stacked = body.thick + thickness;
  const thick = Math.min(to, stacked);
  const ground = Math.min(thickness, thick);
  const [fx, fy] = grownBy(stacked / thick, along);
  const [width, height] = [before.width * fx, before.height * fy];
  const beside = (gap * before.height * thickness) / (height * ground);
  const below = ((before.width + gap) * gap * thickness) / ((width + beside) * ground);
  return { before, width, height, beside, below, thick, ground };
}

/** Straight lines across a sheet where pieces of it meet: mm from its lower left corner. */
export interface Seams {
  readonly x: readonly Mm[];
  readonly y: readonly Mm[];
}

/** Where the pieces of a laid sheet meet. @param before what is laid */
export function seamsOf(before: Body, step: Lay): Seams {
  const { width, height, beside, below } = tileOf(flat(before), step);
  const lines = (n: number, tile: Mm): Mm[] => Array.from({ length: n - 1 }, (_, i) => (i + 1) * tile);
  return { x: lines(step.columns, width + beside), y: lines(step.rows, height + below) };
}

/** mm² of backing that is laid out. */
const backingArea = (body: Body, { columns, rows, gap }: Pick<Lay, 'columns' | 'rows' | 'gap'>): number => {
  const { width, height } = sizeOf(body);
  return columns * (width + gap) * rows * (height + gap);
};

/** A piece as it lies: of a round one, what its square shows. */
function pieceField(body: Body, field: Field): Field {
  if (!body.round) return field;
  const { width, height } = sizeOf(body);
  return (x, y, z) => {
    discOfSquare((2 * x) / width, (2 * y) / height);
    return field((found.x * body.width) / 2, (found.y * body.height) / 2, z);
  };
}

/** The pieces on their backing. Specks lie in the pieces alone, so they are part of it from here on. */
function laidOut(body: Body, step: Lay, tile: Tile, backing: number, seed: number): Field {
  const { columns, rows, thickness } = step;
  const pieces = Array.from({ length: columns * rows }, (_, k) => pieceField(body, body.piece?.(k) ?? body.field));
  const [wide, high] = [tile.width + tile.beside, tile.height + tile.below];
  const [left, bottom] = [-(columns * wide) / 2, -(rows * high) / 2];
  const [fx, fy] = [tile.width / tile.before.width, tile.height / tile.before.height];
  const up = (body.thick + thickness) / tile.thick;
  const specks = specksOf(body, seed);
  const fades = step.of.startsWith('blend:') && !step.of.includes('@');
  const ground = (x: Mm): number =>
    fades ? backing + FADE * Math.min(1, Math.max(0, (x - left) / (columns * wide))) : backing;
  return (x, y, z) => {
    const column = Math.min(columns - 1, Math.max(0, Math.floor((x - left) / wide)));
    const row = Math.min(rows - 1, Math.max(0, Math.floor((y - bottom) / high)));
    const [dx, dy] = [x - left - (column + 0.5) * wide, y - bottom - (row + 0.5) * high];
    if (Math.abs(dx) > tile.width / 2 || Math.abs(dy) > tile.height / 2) return z > tile.ground ? AIR : ground(x);
    const before = z * up - thickness;
    if (before < 0) return ground(x);
    const seen = (pieces[row * columns + column] as Field)(dx / fx, dy / fy, before);
    // a hole shows what is below it
    if (seen === AIR) return ground(x);
    const speck = specks(x, y, z);
    return speck === AIR ? seen : speck;
  };
}

export const lay: ChangeKind<Lay> = {
  fields: {
    columns: whole(1, MOST_ACROSS),
    rows: whole(1, MOST_ACROSS),
    gap: number(0, 100),
    of: material,
    thickness: LENGTH,
    to: LENGTH,
    along: among(...ALONG),
  },
  starts: (step, before) => {
    if (!before) return [];
    const { width, height } = sizeOf(before);
    const volume = backingArea(before, step) * step.thickness;
    const sizes = [step.columns * (width + step.gap), step.rows * (height + step.gap), step.thickness];
    return [{ what: 'sheet', of: step.of, volume, sizes }];
  },
  to: ['sheet', 'block'],
  change: (open, step, context, at) => {
    const body = flat(open);
    positive(step.thickness, 'The backing');
    positive(step.to, 'The thickness');
    const used = wholeIn(step.columns, 'Columns', 1, MOST_ACROSS) * wholeIn(step.rows, 'Rows', 1, MOST_ACROSS);
    if (used > body.count) throw complaint('pattern/enough', { there: body.count, wanted: used });
    const backing = numberOf(context, step.of);
    const tile = tileOf(body, step);
    const field = laidOut(body, step, tile, backing, saltOf(context, at));
    const size = {
      round: false,
      width: step.columns * (tile.width + tile.beside),
      height: step.rows * (tile.height + tile.below),
    };
    const ground: Volumes = new Map([[backing, backingArea(body, step) * step.thickness]]);
    const { piece: _, shut: __, ...whole } = body;
    return {
      ...whole,
      ...size,
      form: 'sheet',
      thick: tile.thick,
      field,
      count: 1,
      specks: [],
      volumes: once(() => sumOf([used === body.count ? body.volumes() : someOf(body, used), 1], [ground, 1])),
    };
  },
};

/** mm³ of each material in the first of a body's pieces. */
const someOf = (body: Body, used: number): Volumes =>
  body.piece ? measuredPieces(body, { from: 0, to: body.thick }, used) : sumOf([body.volumes(), used / body.count]);
