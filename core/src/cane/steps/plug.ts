import type { Mm } from '#core/units';
import { LENGTH, among, material, text, type Doing, type MaterialKey } from '#core/cane/document';
import { areaOf, circle, rectangle } from '#core/cane/outlines';
import { begun } from './begun.js';
import type { BeginKind } from './kind.js';
import { positive, tidy } from './measure.js';
import { FADE, numberOf, one, type CaneContext, type CaneState, type Sampler } from './state.js';

/** A tape of a blend, rolled up or folded like a fan. `made`: it lies there already, by its id in the sheet book. */
export interface Plug extends Doing<'plug'> {
  readonly of: MaterialKey;
  readonly wound: 'rolled' | 'fan';
  readonly inside: 'first' | 'last';
  readonly width: Mm;
  readonly depth: Mm;
  readonly length: Mm;
  readonly made?: string;
}

/** Folded like a fan, the fade runs across. */
function folded({ of, width, depth, length }: Plug, context: CaneContext): CaneState {
  const index = numberOf(context, of);
  const outline = rectangle(positive(width, 'The width'), positive(depth, 'The depth'));
  const sample: Sampler = (x) => index + FADE * Math.min(1, Math.max(0, x / width + 0.5));
  return begun(outline, length, sample, one(index, areaOf(outline)));
}

/** Rolled up, the area law: what lies at radius r is at (r/R)² of the tape. */
function rolled({ of, inside, width, length }: Plug, context: CaneContext): CaneState {
  const index = numberOf(context, of);
  const outline = circle(positive(width, 'The plug'));
  const inverse = 4 / (width * width);
  const outwards: Sampler = (x, y) => index + FADE * Math.min(1, (x * x + y * y) * inverse);
  const inwards: Sampler = (x, y) => index + FADE * Math.max(0, 1 - (x * x + y * y) * inverse);
  return begun(outline, length, inside === 'first' ? outwards : inwards, one(index, areaOf(outline)));
}

export const plug: BeginKind<Plug> = {
  fields: {
    of: material,
    wound: among('rolled', 'fan'),
    inside: among('first', 'last'),
    width: LENGTH,
    depth: LENGTH,
    length: LENGTH,
    'made?': text(80),
  },
  scaled: (step, factor) => ({ ...step, width: tidy(step.width * factor), depth: tidy(step.depth * factor) }),
  begin: (step, _, context) => (step.wound === 'fan' ? folded(step, context) : rolled(step, context)),
};
