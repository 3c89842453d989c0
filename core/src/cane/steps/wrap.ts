import type { Mm } from '#core/units';
import { LENGTH, material, type Doing, type MaterialKey } from '#core/cane/document';
import { areaOf, beyond, offset, outlineOf, reachOf } from '#core/cane/outlines';
import type { ChangeKind } from './kind.js';
import { positive, tidy } from './measure.js';
import { numberOf, sumOf, type Sampler } from './state.js';

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
    const index = numberOf(context, of);
    const reach = reachOf(state.outline);
    const inner = state.sample;
    const { outline, moved } = outlineOf(offset(state.outline, thickness).points, state.outline.round);
    const [mx, my] = moved;
    const area = areaOf(outline) - areaOf(state.outline);
    const sample: Sampler = (x, y) => (beyond(reach, x + mx, y + my) <= 1 ? inner(x + mx, y + my) : index);
    return { ...state, outline, sample, amounts: sumOf([state.amounts, 1], [new Map([[index, area]]), 1]) };
  },
  sheet: ({ of, thickness }, before, after) => ({
    of,
    thickness,
    width: (areaOf(after.outline) - areaOf(before.outline)) / thickness,
  }),
};
