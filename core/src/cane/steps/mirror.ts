import type { Doing } from '#core/cane/document';
import { mirrored } from '#core/cane/outlines';
import type { ChangeKind } from './kind.js';

/** Turned end for end: left and right are exchanged. */
export type Mirror = Doing<'mirror'>;

export const mirror: ChangeKind<Mirror> = {
  fields: {},
  change: (state) => {
    const inner = state.sample;
    return { ...state, outline: mirrored(state.outline), sample: (x, y) => inner(-x, y) };
  },
};
