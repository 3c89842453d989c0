import type { Mm } from '#core/units';
import { LENGTH, material, type Doing, type MaterialKey } from '#core/cane/document';
import { areaOf, offset } from '#core/cane/outlines';
import { coated } from './coated.js';
import type { ChangeKind } from './kind.js';
import { positive, tidy } from './measure.js';
import { numberOf } from './state.js';
import { seamOf } from './wobble.js';

/** Covered with a sheet: every edge moves outwards by its thickness. */
export interface Wrap extends Doing<'wrap'> {
  readonly of: MaterialKey;
  readonly thickness: Mm;
}

export const wrap: ChangeKind<Wrap> = {
  fields: { of: material, thickness: LENGTH },
  scaled: (step, factor) => ({ ...step, thickness: tidy(step.thickness * factor) }),
  change: (state, { of, thickness }, _, context) => {
    positive(thickness, 'The wrap');
    const outside = offset(state.outline, thickness);
    const seam = context.wobble > 0 ? seamOf(state.outline, thickness, context) : undefined;
    return coated(state, outside, numberOf(context, of), seam);
  },
  sheet: ({ of, thickness }, before, after) => ({
    of,
    thickness,
    width: (areaOf(after.outline) - areaOf(before.outline)) / thickness,
  }),
};
