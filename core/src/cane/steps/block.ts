import type { Mm } from '#core/units';
import { LENGTH, material, type Doing, type MaterialKey } from '#core/cane/document';
import { areaOf, rectangle } from '#core/cane/outlines';
import { begun } from './begun.js';
import type { BeginKind } from './kind.js';
import { positive, tidy } from './measure.js';
import { numberOf, one } from './state.js';

/** A piece of one clay with straight sides. */
export interface Block extends Doing<'block'> {
  readonly of: MaterialKey;
  readonly width: Mm;
  readonly height: Mm;
  readonly length: Mm;
}

export const block: BeginKind<Block> = {
  fields: { of: material, width: LENGTH, height: LENGTH, length: LENGTH },
  scaled: (step, factor) => ({ ...step, width: tidy(step.width * factor), height: tidy(step.height * factor) }),
  begin: ({ of, width, height, length }, _, context) => {
    const outline = rectangle(positive(width, 'The width'), positive(height, 'The height'));
    const index = numberOf(context, of);
    return begun(outline, length, () => index, one(index, areaOf(outline)));
  },
};
