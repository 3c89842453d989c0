import { type Mm } from '#core/units';
import { DEGREES, LENGTH, LENGTH_EITHER_WAY, part, type AnyStep, type Doing, type PartOf } from '#core/cane/document';
import { acrossOf, beyond, reachOf, type Point } from '#core/cane/outlines';
import { onePart } from './cane.js';
import { reductionsOf } from './joins.js';
import type { ChangeKind } from './kind.js';
import { positive, tidy } from './measure.js';
import { measured, sumOf, type CaneState, type Sampler, type Unspoilt } from './state.js';
import { complaint } from './sentences.js';

/** Another cane set into a hole of that size: the outside stays. */
export interface Insert<S = AnyStep> extends Doing<'insert'> {
  readonly part: PartOf<S>;
  readonly x: Mm;
  readonly y: Mm;
  readonly diameter: Mm;
  readonly degrees: number;
}

/** @throws Complaint `cane/hole` */
function joined(state: CaneState, step: Insert, [other]: readonly CaneState[]): Unspoilt {
  if (!other) throw complaint('cane/missing');
  const { x: hx, y: hy, diameter, degrees } = step;
  const factor = positive(diameter, 'The diameter') / acrossOf(other.outline);
  const [c, s] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
  const outer = reachOf(state.outline);
  const hole = other.outline.points.map(([x, y]): Point => [
    hx + factor * (x * c - y * s),
    hy + factor * (x * s + y * c),
  ]);
  if (hole.some(([x, y]) => beyond(outer, x, y) > 1)) throw complaint('cane/hole');
  const edge = reachOf(other.outline);
  const [inner, inserted] = [state.sample, other.sample];
  const sample: Sampler = (x, y) => {
    const [dx, dy] = [(x - hx) / factor, (y - hy) / factor];
    const [px, py] = [dx * c + dy * s, dy * c - dx * s];
    return beyond(edge, px, py) <= 1 ? inserted(px, py) : inner(x, y);
  };
  // brought to the size of the hole, the other cane is as much longer
  return {
    ...state,
    length: Math.min(state.length, other.length / (factor * factor)),
    sample,
    reductions: reductionsOf([state, other]),
    amounts: measured(sample, state.outline),
  };
}

export const insert: ChangeKind<Insert> = {
  fields: { part, x: LENGTH_EITHER_WAY, y: LENGTH_EITHER_WAY, diameter: LENGTH, degrees: DEGREES },
  parts: { ...onePart, longer: ({ diameter }, other) => (diameter / acrossOf(other.outline)) ** 2 },
  scaled: (step, factor) => ({
    ...step,
    x: tidy(step.x * factor),
    y: tidy(step.y * factor),
    diameter: tidy(step.diameter * factor),
  }),
  change: joined,
  joins: true,
  spoils: true,
  leaves: (_, before, after, given) => [
    { why: 'hole', counted: true, amounts: sumOf([before.amounts, 1], ...given, [after.amounts, -1]) },
  ],
};
