import { whole, type Doing } from '#core/cane/document';
import type { ChangeKind } from './kind.js';
import { wholeIn } from './measure.js';

/** Cut across in equal lengths. */
export interface Across extends Doing<'across'> {
  readonly pieces: number;
}

const [FEWEST, MOST] = [2, 400];

export const across: ChangeKind<Across> = {
  fields: { pieces: whole(FEWEST, MOST) },
  change: (state, { pieces }) => {
    wholeIn(pieces, 'The number of pieces', FEWEST, MOST);
    return { ...state, length: state.length / pieces, count: state.count * pieces };
  },
  spoilt: ({ pieces }, before) => before.spoilt.map((s) => ({ ...s, mm3: s.mm3 / pieces })),
  cuts: true,
  needs: (_, { count, length }, __, pieces) => ({ count, length: length * pieces }),
  along: ({ pieces }, length) => length / pieces,
};
