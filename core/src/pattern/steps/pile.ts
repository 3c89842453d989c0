import { among, whole, yesOrNo } from '#core/document';
import { flat, waved, type Body, type Field } from '#core/pattern/body';
import { MOST_FOLDS, MOST_LAYERS_ALL, type Doing } from '#core/pattern/document';
import type { Mm } from '#core/units';
import type { ChangeKind, PatternContext } from './kind.js';
import { saltOf, wholeIn } from './measure.js';
import { grownBy } from './roll.js';
import { complaint } from './sentences.js';

const SIDES = ['width', 'length'] as const;
type SideWays = (typeof SIDES)[number];

/** Cut in so many pieces across its width or its length, and stacked: the left or lower one at the bottom. */
export interface Pile extends Doing<'pile'> {
  readonly pieces: number;
  readonly across: SideWays;
}
/** Folded to and fro like a fan: every other layer lies upside down. */
export interface Fan extends Doing<'fan'> {
  readonly layers: number;
  readonly across: SideWays;
}
/** Rolled to half its thickness, folded in half, again and again. */
export interface Knead extends Doing<'knead'> {
  readonly times: number;
  readonly across: SideWays;
  /** a quarter turn between */
  readonly turned: boolean;
}

/** Pieces or layers at the most, in one step. */
const MOST_PIECES = 24;

function straight(body: Body, word: string): Body {
  if (body.round) throw complaint('pattern/straight', { word });
  return flat(body);
}

/** Which piece of a row a height belongs to, and how high in it. */
const layerAt = (z: Mm, thick: Mm, count: number): number => Math.min(count - 1, Math.max(0, Math.floor(z / thick)));

/**
 * Pieces of a row laid on each other.
 * @param folded every other one lies upside down, as folds leave it
 */
function stacked(body: Body, count: number, across: SideWays, folded: boolean): Body {
  const { field, thick } = body;
  const wide = across === 'width';
  const each = (wide ? body.width : body.height) / count;
  const back: Field = (x, y, z) => {
    const n = layerAt(z, thick, count);
    const over = folded && n % 2 === 1;
    const high = z - n * thick;
    const place = (n - (count - 1) / 2) * each + (over ? -1 : 1) * (wide ? x : y);
    const up = over ? thick - high : high;
    return wide ? field(place, y, up) : field(x, place, up);
  };
  const { piece: _, ...whole } = body;
  return {
    ...whole,
    form: 'block',
    width: wide ? each : body.width,
    height: wide ? body.height : each,
    thick: thick * count,
    field: back,
  };
}

/** Layers of the whole so far cannot be counted in a field: the thinnest that anything can be is this, mm. */
const THINNEST = 20 / MOST_LAYERS_ALL;

function notTooMany(thick: Mm, count: number): void {
  if (thick / count < THINNEST) throw complaint('pattern/layers', { most: MOST_LAYERS_ALL });
}

const byHands = (body: Body, context: PatternContext, at: number): Body => ({
  ...body,
  field: waved(body.field, body.thick, context.wobble, saltOf(context, at)),
});

export const pile: ChangeKind<Pile> = {
  fields: { pieces: whole(2, MOST_PIECES), across: among(...SIDES) },
  to: ['block', 'sheet'],
  change: (body, { pieces, across }, context, at) =>
    byHands(
      stacked(
        straight(body, 'Cutting and stacking'),
        wholeIn(pieces, 'The number of pieces', 2, MOST_PIECES),
        across,
        false,
      ),
      context,
      at,
    ),
};

export const fan: ChangeKind<Fan> = {
  fields: { layers: whole(2, MOST_PIECES), across: among(...SIDES) },
  to: ['block', 'sheet'],
  change: (body, { layers, across }, context, at) =>
    byHands(
      stacked(
        straight(body, 'Folding like a fan'),
        wholeIn(layers, 'The number of layers', 2, MOST_PIECES),
        across,
        true,
      ),
      context,
      at,
    ),
};

/** One time: half as thick and twice as long, then folded. */
function foldedOnce(body: Body, across: SideWays): Body {
  const [fx, fy] = grownBy(2, across === 'width' ? 'width' : 'length');
  const { field } = body;
  const thin: Body = {
    ...body,
    width: body.width * fx,
    height: body.height * fy,
    thick: body.thick / 2,
    field: (x, y, z) => field(x / fx, y / fy, z * 2),
  };
  return stacked(thin, 2, across, true);
}

const quarterTurned = (body: Body): Body => {
  const { field } = body;
  return { ...body, width: body.height, height: body.width, field: (x, y, z) => field(y, -x, z) };
};

export const knead: ChangeKind<Knead> = {
  fields: { times: whole(1, MOST_FOLDS), across: among(...SIDES), turned: yesOrNo },
  to: ['block', 'sheet'],
  change: (body, { times, across, turned }, context, at) => {
    wholeIn(times, 'The number of folds', 1, MOST_FOLDS);
    let now = straight(body, 'Folding and rolling on');
    notTooMany(now.thick, 2 ** times);
    for (let n = 0; n < times; n++) {
      now = byHands(foldedOnce(now, across), context, at + n * 7);
      if (turned) now = quarterTurned(now);
    }
    return { ...now, form: body.form === 'sheet' ? 'sheet' : 'block' };
  },
};
