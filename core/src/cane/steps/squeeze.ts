import { number, type Doing } from '#core/cane/document';
import type { ChangeKind } from './kind.js';
import { positive } from './measure.js';
import { handled, stretched } from './pressing.js';

/** Squeezed one way: so many times as wide, and as much less high. */
export interface Squeeze extends Doing<'squeeze'> {
  readonly factor: number;
}

export const squeeze: ChangeKind<Squeeze> = {
  fields: { factor: number(0.02, 50) },
  change: (state, { factor }) => stretched(state, positive(factor, 'The squeeze'), 1 / factor),
  spoils: true,
  spoilt: (_, before, after) => handled(before, after),
};
