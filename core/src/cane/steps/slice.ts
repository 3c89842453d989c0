import { type Mm } from '#core/units';
import { LENGTH, type Doing } from '#core/cane/document';
import type { ChangeKind } from './kind.js';
import { positive, shown } from './measure.js';
import { complaint } from './sentences.js';

/** Cut in slices. */
export interface Slice extends Doing<'slice'> {
  readonly thickness: Mm;
}

const HAIR = 1e-9;

/** Slices are pieces too: as many as the length gives. @throws Complaint `cane/positive`, `cane/trim` */
export const slice: ChangeKind<Slice> = {
  fields: { thickness: LENGTH },
  change: (state, { thickness }) => {
    const slices = Math.floor(state.length / positive(thickness, 'A slice') + HAIR);
    if (slices < 1) throw complaint('cane/trim', { now: shown(state.length) });
    return { ...state, length: thickness, count: state.count * slices };
  },
  spoilt: () => [],
  needs: (_, { count, length }) => ({ count: 1, length: length * count }),
  along: ({ thickness }, length) => Math.min(length, thickness),
};
