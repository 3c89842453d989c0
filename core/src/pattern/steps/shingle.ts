import { LENGTH, whole, yesOrNo } from '#core/document';
import { at as found, discOfSquare, measuredIn, once, planArea, type Body, type Field } from '#core/pattern/body';
import type { Doing } from '#core/pattern/document';
import { seeded, type Mm } from '#core/units';
import type { ChangeKind } from './kind.js';
import { positive, saltOf, shown, wholeIn } from './measure.js';
import { complaint } from './sentences.js';

/**
 * Slices of a rope laid overlapping like tiles of a roof, and pressed to a sheet: columns and rows, so many on each
 * other everywhere.
 */
export interface Shingle extends Doing<'shingle'> {
  readonly thickness: Mm;
  readonly columns: number;
  readonly rows: number;
  readonly layers: number;
  /** each turned by a quarter or more, as chance has it */
  readonly turned: boolean;
}

const [MOST_ACROSS, MOST_LAYERS] = [40, 6];

/** A face turned by quarters: cosine and sine. */
const QUARTERS: readonly (readonly [number, number])[] = [
  [1, 0],
  [0, 1],
  [-1, 0],
  [0, -1],
];

export const shingle: ChangeKind<Shingle> = {
  fields: {
    thickness: LENGTH,
    columns: whole(1, MOST_ACROSS),
    rows: whole(1, MOST_ACROSS),
    layers: whole(1, MOST_LAYERS),
    turned: yesOrNo,
  },
  to: ['rope'],
  change: (body, step, context, at) => {
    const { thickness, columns, rows, layers } = step;
    positive(thickness, 'The thickness of a slice');
    wholeIn(layers, 'Slices on each other', 1, Math.min(MOST_LAYERS, columns));
    const count = columns * rows;
    if (count * thickness > body.thick + 1e-9)
      throw complaint('pattern/slice', { thickness: shown(count * thickness), across: shown(body.thick) });
    const tile = Math.sqrt(planArea(body));
    const size = { round: false, width: (columns * tile) / layers, height: rows * tile };
    const { field } = body;
    const { shut: _, piece: __, ...whole } = body;
    return {
      ...whole,
      ...size,
      form: 'sheet',
      thick: layers * thickness,
      field: laid(body, step, tile, seeded(saltOf(context, at) * 271 + 3)),
      volumes: once(() => measuredIn(body, field, { from: 0, to: count * thickness })),
    };
  },
};

/** Each slice is pressed from its round to a square tile; the next one lies over it by all but its step. */
function laid({ field, width: across }: Body, step: Shingle, tile: Mm, chance: () => number): Field {
  const { thickness, columns, rows, layers, turned } = step;
  const turns = Array.from({ length: columns * rows }, () => (turned ? Math.floor(chance() * 4) : 0));
  const by = tile / layers;
  const [left, bottom] = [-(columns * by) / 2, -(rows * tile) / 2];
  return (x, y, z) => {
    const row = Math.min(rows - 1, Math.max(0, Math.floor((y - bottom) / tile)));
    const top = Math.floor((x - left) / by);
    const layer = Math.min(layers - 1, Math.max(0, Math.floor(z / thickness)));
    // the one that was laid last lies on top
    const own = top - (layers - 1 - layer);
    const one = row * columns + (((own % columns) + columns) % columns);
    const [c, s] = QUARTERS[turns[one] as number] as readonly [number, number];
    const [u, v] = [(2 * (x - left - own * by)) / tile - 1, (2 * (y - bottom - row * tile)) / tile - 1];
    discOfSquare(u * c - v * s, u * s + v * c);
    const inner = z - layer * thickness;
    return field((found.x * across) / 2, (found.y * across) / 2, one * thickness + inner);
  };
}
