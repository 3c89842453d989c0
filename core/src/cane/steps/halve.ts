import { among, whole, type Doing } from '#core/cane/document';
import { rectangle } from '#core/cane/outlines';
import { lying, straight } from './joins.js';
import type { ChangeKind } from './kind.js';
import { wholeIn } from './measure.js';
import { sumOf, type CaneState, type Sampler, type Unspoilt } from './state.js';

/** Cut across in half and the halves laid on each other, so many times. `side`: where the second half is laid. */
export interface Halve extends Doing<'halve'> {
  readonly times: number;
  readonly side: 'top' | 'right';
}

const MOST_TIMES = 8;

/** How many times a face lies in the one after it. */
const copiesOf = ({ times }: Halve): number => 2 ** times;

/** The same place in the copy of a face that a place along some of them lies in. @param long of one copy */
function inCopy(at: number, long: number, copies: number): number {
  const from = at + (long * copies) / 2;
  const copy = Math.min(copies - 1, Math.max(0, Math.floor(from / long)));
  return from - (copy + 0.5) * long;
}

/** @throws Complaint `cane/count`, `cane/straight` */
function stacked(row: CaneState, step: Halve): Unspoilt {
  wholeIn(step.times, 'The number of halvings', 1, MOST_TIMES);
  const upwards = step.side === 'top';
  const state = lying(row, upwards ? 'width' : 'height');
  const { width, height } = straight(state);
  const copies = copiesOf(step);
  const inner = state.sample;
  const sample: Sampler = upwards
    ? (x, y) => inner(x, inCopy(y, height, copies))
    : (x, y) => inner(inCopy(x, width, copies), y);
  return {
    ...state,
    outline: upwards ? rectangle(width, height * copies) : rectangle(width * copies, height),
    length: state.length / copies,
    sample,
    amounts: sumOf([state.amounts, copies]),
  };
}

export const halve: ChangeKind<Halve> = {
  fields: { times: whole(1, MOST_TIMES), side: among('top', 'right') },
  change: stacked,
  joins: true,
  spoils: true,
  needs: (step, { count, length }) => ({ count, length: length * copiesOf(step) }),
  along: (step, length) => length / copiesOf(step),
};
