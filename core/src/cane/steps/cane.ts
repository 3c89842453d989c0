import { part, type AnyStep, type Doing, type PartOf } from '#core/cane/document';
import type { BeginKind, Parts } from './kind.js';
import { complaint } from './sentences.js';

/** Another cane to begin with. */
export interface Cane<S = AnyStep> extends Doing<'cane'> {
  readonly part: PartOf<S>;
}

/** The one other cane that a step takes in. */
export const onePart: Parts<AnyStep & { readonly part: PartOf<AnyStep> }> = {
  of: (step) => [step.part],
  with: (step, _, other) => ({ ...step, part: other }),
};

export const cane: BeginKind<Cane> = {
  fields: { part },
  parts: onePart,
  begin: (_, [state]) => {
    if (!state) throw complaint('cane/begin');
    return { ...state, spoilt: [], endsEach: 0 };
  },
  laid: () => null,
};
