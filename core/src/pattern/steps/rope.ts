import { LENGTH, number, whole } from '#core/document';
import { at as found, roundOfHalf, unevenTwist, type Body, type Field } from '#core/pattern/body';
import { MOST_FOLDS, type Doing } from '#core/pattern/document';
import type { Mm } from '#core/units';
import type { ChangeKind, PatternContext } from './kind.js';
import { positive, saltOf, shown, wholeIn } from './measure.js';
import { complaint } from './sentences.js';

/** Twisted by so many turns from one end to the other. */
export interface Twist extends Doing<'twist'> {
  readonly turns: number;
}
/** Rolled thinner, and longer. */
export interface Reduce extends Doing<'reduce'> {
  readonly to: Mm;
}
/** Twisted, rolled out to twice its length and folded in half, again and again: as thick and as long each time. */
export interface Fold extends Doing<'fold'> {
  readonly times: number;
  /** turns before each fold */
  readonly turns: number;
}

const MOST_TURNS = 400;
const TURN = 2 * Math.PI;

/** Turned about its length, more the further along. */
function twisted({ field, thick, width }: Body, turns: number, { wobble }: PatternContext, salt: number): Field {
  const by = (TURN * turns) / thick;
  const more = unevenTwist(thick, turns, wobble, salt);
  const inverse = 4 / (width * width);
  return (x, y, z) => {
    const angle = by * z + more(z, (x * x + y * y) * inverse);
    const [c, s] = [Math.cos(angle), Math.sin(angle)];
    return field(x * c + y * s, y * c - x * s, z);
  };
}

export const twist: ChangeKind<Twist> = {
  fields: { turns: number(-MOST_TURNS, MOST_TURNS) },
  times: (step, factor) => ({ ...step, turns: Math.max(-MOST_TURNS, Math.min(MOST_TURNS, step.turns * factor)) }),
  to: ['rope'],
  change: (body, { turns }, context, at) =>
    turns === 0 ? body : { ...body, field: twisted(body, turns, context, saltOf(context, at)) },
};

export const reduce: ChangeKind<Reduce> = {
  fields: { to: LENGTH },
  to: ['rope'],
  change: (body, { to }) => {
    positive(to, 'The width');
    if (to > body.width * (1 + 1e-9)) throw complaint('pattern/larger', { now: shown(body.width), wanted: shown(to) });
    const by = body.width / to;
    const { field } = body;
    return {
      ...body,
      width: to,
      height: to,
      thick: body.thick * by * by,
      field: (x, y, z) => field(x * by, y * by, z / (by * by)),
    };
  },
};

/**
 * One fold. Each half of the round is one strand, pressed from a whole round; the left one runs backwards. Twist and
 * press are one turn of the place, so that a fold costs one angle.
 */
function folded({ field, thick, width }: Body, turns: number, { wobble }: PatternContext, salt: number): Field {
  const radius = width / 2;
  const by = (TURN * turns) / thick;
  const more = unevenTwist(thick, turns, wobble, salt);
  return (x, y, z) => {
    roundOfHalf(Math.abs(x) / radius, y / radius);
    // drawn out to twice its length, the first half is the right strand
    const along = x >= 0 ? z / 2 : thick - z / 2;
    const angle = found.turn - by * along - more(along, found.r);
    const out = radius * Math.sqrt(found.r);
    return field(out * Math.cos(angle), out * Math.sin(angle), along);
  };
}

export const fold: ChangeKind<Fold> = {
  fields: { times: whole(0, MOST_FOLDS), turns: number(-MOST_TURNS, MOST_TURNS) },
  times: (step, factor) => ({ ...step, turns: Math.max(-MOST_TURNS, Math.min(MOST_TURNS, step.turns * factor)) }),
  to: ['rope'],
  change: (body, { times, turns }, context, at) => {
    wholeIn(times, 'The number of folds', 0, MOST_FOLDS);
    let now = body;
    for (let n = 0; n < times; n++) now = { ...now, field: folded(now, turns, context, saltOf(context, at) + 13 * n) };
    return now;
  },
};
