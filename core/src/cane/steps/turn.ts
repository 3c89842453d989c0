import { DEGREES, type Doing } from '#core/cane/document';
import { turned } from '#core/cane/outlines';
import type { ChangeKind } from './kind.js';

/** Turned on its axis, degrees to the left. */
export interface Turn extends Doing<'turn'> {
  readonly degrees: number;
}

export const turn: ChangeKind<Turn> = {
  fields: { degrees: DEGREES },
  change: (state, { degrees }) => {
    const inner = state.sample;
    const [c, s] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
    return { ...state, outline: turned(state.outline, degrees), sample: (x, y) => inner(x * c + y * s, y * c - x * s) };
  },
};
