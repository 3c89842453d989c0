import type { Mm } from '#core/units';
import { LENGTH, material, type Doing, type MaterialKey } from '#core/cane/document';
import { areaOf, circle } from '#core/cane/outlines';
import { begun } from './begun.js';
import type { BeginKind } from './kind.js';
import { positive, tidy } from './measure.js';
import { numberOf, one } from './state.js';

/** A round piece of one clay. */
export interface Log extends Doing<'log'> {
  readonly of: MaterialKey;
  readonly diameter: Mm;
  readonly length: Mm;
}

export const log: BeginKind<Log> = {
  fields: { of: material, diameter: LENGTH, length: LENGTH },
  scaled: (step, factor) => ({ ...step, diameter: tidy(step.diameter * factor) }),
  begin: ({ of, diameter, length }, _, context) => {
    const outline = circle(positive(diameter, 'The log'));
    const index = numberOf(context, of);
    return begun(outline, length, () => index, one(index, areaOf(outline)));
  },
};
