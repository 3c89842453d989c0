import { DEGREES, LENGTH, LENGTH_EITHER_WAY, among, list, object, whole } from '#core/document';
import { flat } from '#core/pattern/body';
import { inlaid } from './inlaid.js';
import { INLAID, countOf, kindsOf, type Inlay } from './inlayPlaces.js';
import type { ChangeKind } from './kind.js';
import { positive, wholeIn } from './measure.js';
import { ALONG } from './roll.js';
import { MOST_SLICES, MOST_SLICE_KINDS, TURNED, checkCount, sliceKinds, slicesToCut } from './slices.js';

export type { Inlay } from './inlayPlaces.js';

const MOST_ACROSS = 60;

export const inlay: ChangeKind<Inlay> = {
  fields: {
    slices: sliceKinds,
    laid: among(...INLAID),
    columns: whole(1, MOST_ACROSS),
    rows: whole(1, MOST_ACROSS),
    turned: among(...TURNED),
    'places?': list(
      object({ kind: whole(0, MOST_SLICE_KINDS - 1), x: LENGTH_EITHER_WAY, y: LENGTH_EITHER_WAY, degrees: DEGREES }),
      0,
      MOST_SLICES,
    ),
    seed: whole(0, 1_000_000),
    to: LENGTH,
    along: among(...ALONG),
  },
  to: ['block', 'sheet'],
  starts: (step, before, context) => slicesToCut(step.slices, kindsOf(step), context, before?.count ?? 1),
  change: (open, step, context, at) => {
    const body = flat(open);
    positive(step.to, 'The thickness');
    wholeIn(step.columns, 'Columns', 1, MOST_ACROSS);
    wholeIn(step.rows, 'Rows', 1, MOST_ACROSS);
    checkCount(countOf(step));
    return inlaid(body, step, context, at);
  },
};
