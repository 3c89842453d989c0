import { among, part, type AnyStep, type Doing, type PartOf } from '#core/cane/document';
import { extentOf, rectangle } from '#core/cane/outlines';
import { onePart } from './cane.js';
import { checkMeet, lying, reductionsOf, straight } from './joins.js';
import type { ChangeKind } from './kind.js';
import { sumOf, type CaneState, type Sampler, type Unspoilt } from './state.js';
import { complaint } from './sentences.js';

/** Another cane beside it or on top, along sides of equal length. */
export interface Stack<S = AnyStep> extends Doing<'stack'> {
  readonly part: PartOf<S>;
  readonly side: 'right' | 'top';
}

/** @throws Complaint `cane/straight`, `cane/sides` */
function joined(row: CaneState, { side }: Stack, [part]: readonly CaneState[]): Unspoilt {
  if (!part) throw complaint('cane/missing');
  const along = side === 'right';
  const meet = along ? 'height' : 'width';
  const [state, other] = [lying(row, meet), lying(part, meet)];
  const [a, b] = [straight(state), straight(other)];
  const [one, opposite] = along ? [a.height, b.height] : [a.width, b.width];
  checkMeet(one, opposite);
  const [first, second] = along ? [a.width, b.width] : [a.height, b.height];
  const total = first + second;
  const seam = first - total / 2;
  const stretch = one / opposite;
  const [inner, beside] = [state.sample, other.sample];
  const sample: Sampler = along
    ? (x, y) => (x < seam ? inner(x + total / 2 - first / 2, y) : beside(x - seam - second / 2, y / stretch))
    : (x, y) => (y < seam ? inner(x, y + total / 2 - first / 2) : beside(x / stretch, y - seam - second / 2));
  return {
    outline: along ? rectangle(total, one) : rectangle(one, total),
    length: Math.min(state.length, other.length / stretch),
    count: state.count,
    sample,
    reductions: reductionsOf([state, other]),
    amounts: sumOf([state.amounts, 1], [other.amounts, stretch]),
  };
}

export const stack: ChangeKind<Stack> = {
  fields: { part, side: among('right', 'top') },
  parts: {
    ...onePart,
    longer: ({ side }, other, before) => {
      const sideOf = ({ outline }: CaneState): number => extentOf(outline)[side === 'right' ? 'height' : 'width'];
      return before ? sideOf(before) / sideOf(other) : 1;
    },
  },
  change: joined,
  joins: true,
  spoils: true,
};
