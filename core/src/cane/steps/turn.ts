import { DEGREES, type Doing } from '#core/cane/document';
import type { ChangeKind } from './kind.js';
import { turnedBy } from './pressing.js';

/** Turned on its axis, degrees to the left. */
export interface Turn extends Doing<'turn'> {
  readonly degrees: number;
}

export const turn: ChangeKind<Turn> = {
  fields: { degrees: DEGREES },
  change: (state, { degrees }) => turnedBy(state, degrees),
};
