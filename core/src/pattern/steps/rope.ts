import { LENGTH, number, whole } from '#core/document';
import {
  LAGS,
  at as found,
  cosSin,
  foldsBack,
  foldsOf,
  rope,
  sine,
  type Body,
  type Field,
  type Folds,
} from '#core/pattern/body';
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

/** Turned about its length, more the further along. */
function twisted({ field, thick, width }: Body, turns: number, { wobble }: PatternContext, salt: number): Field {
  const { by, slip, first, waves } = foldsOf(thick, turns, 1, wobble, salt);
  const [most, begins] = [slip[0] as number, first[0] as number];
  const inverse = 4 / (width * width);
  return (x, y, z) => {
    const more = most * sine(waves * z + begins + LAGS * (x * x + y * y) * inverse);
    cosSin(by * z + more);
    const [c, s] = [found.x, found.y];
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

/** As {@link foldsBack}, for a rope of any width. */
function folded({ field, width }: Body, folds: Folds): Field {
  const radius = width / 2;
  return (x, y, z) => {
    foldsBack(x / radius, y / radius, z, folds);
    return field(rope.x * radius, rope.y * radius, rope.along);
  };
}

export const fold: ChangeKind<Fold> = {
  fields: { times: whole(0, MOST_FOLDS), turns: number(-MOST_TURNS, MOST_TURNS) },
  times: (step, factor) => ({ ...step, turns: Math.max(-MOST_TURNS, Math.min(MOST_TURNS, step.turns * factor)) }),
  to: ['rope'],
  change: (body, { times, turns }, context, at) => {
    wholeIn(times, 'The number of folds', 0, MOST_FOLDS);
    return { ...body, field: folded(body, foldsOf(body.thick, turns, times, context.wobble, saltOf(context, at))) };
  },
};
