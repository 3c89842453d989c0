import { type Mm } from '#core/units';
import { number, type Doing } from '#core/cane/document';
import type { ChangeKind } from './kind.js';
import { shown } from './measure.js';
import { complaint } from './sentences.js';

/** So much cut off each end. */
export interface Trim extends Doing<'trim'> {
  readonly each: Mm;
}

/** @throws Complaint `cane/trim` */
export const trim: ChangeKind<Trim> = {
  fields: { each: number(0, 5000) },
  change: (state, { each }) => {
    if (!(each >= 0) || 2 * each >= state.length) throw complaint('cane/trim', { now: shown(state.length) });
    return { ...state, length: state.length - 2 * each };
  },
  spoilt: () => [],
  needs: ({ each }, { count, length }) => ({ count, length: length + 2 * each }),
  along: ({ each }, length) => length - 2 * each,
  leaves: ({ each }, _, after) => [{ why: 'ends', amounts: after.amounts, length: 2 * each }],
};
