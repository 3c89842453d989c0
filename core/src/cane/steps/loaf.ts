import type { Mm } from '#core/units';
import { LENGTH, layers as sheets, whole, type Doing, type SheetLayer } from '#core/cane/document';
import { rectangle } from '#core/cane/outlines';
import { begun, edgeOf, layersTimes, materialAt, stackOf } from './begun.js';
import type { BeginKind } from './kind.js';
import { positive, tidy, wholeIn } from './measure.js';
import type { Sampler } from './state.js';

/** A stripe loaf: sheets stacked so many times over. */
export interface Loaf extends Doing<'loaf'> {
  readonly layers: readonly SheetLayer[];
  readonly times: number;
  readonly width: Mm;
  readonly length: Mm;
}

const MOST_TIMES = 400;

export const loaf: BeginKind<Loaf> = {
  fields: { layers: sheets, times: whole(1, MOST_TIMES), width: LENGTH, length: LENGTH },
  scaled: (step, factor) => ({ ...step, width: tidy(step.width * factor), layers: layersTimes(step.layers, factor) }),
  begin: ({ layers, times, width, length }, _, context) => {
    const stack = stackOf(layers, context);
    wholeIn(times, 'The number of stacks', 1, MOST_TIMES);
    const height = stack.height * times;
    const sample: Sampler = (_x, y) => {
      const at = (y + height / 2) / stack.height;
      return materialAt(stack, (at - Math.floor(at)) * stack.height);
    };
    const outline = rectangle(positive(width, 'The width'), height);
    return begun(outline, length, sample, edgeOf(layers, stack, width * times));
  },
};
