import type { Mm } from '#core/units';
import { LENGTH, layers as sheets, text, type Doing, type SheetLayer } from '#core/cane/document';
import { circle } from '#core/cane/outlines';
import { begun, edgeOf, layersTimes, materialAt, stackOf } from './begun.js';
import type { BeginKind } from './kind.js';
import { positive, tidy } from './measure.js';
import type { Sampler } from './state.js';

/**
 * Sheets rolled up; `rolled`: how long they are that way. `made`: the sheet lies there already, by its id in the
 * sheet book.
 */
export interface Roll extends Doing<'roll'> {
  readonly layers: readonly SheetLayer[];
  readonly rolled: Mm;
  readonly length: Mm;
  readonly made?: string;
}

const TURN = 2 * Math.PI;

export const roll: BeginKind<Roll> = {
  fields: { layers: sheets, rolled: LENGTH, length: LENGTH, 'made?': text(80) },
  scaled: (step, factor) => ({ ...step, rolled: tidy(step.rolled * factor), layers: layersTimes(step.layers, factor) }),
  // an Archimedean spiral, as thick a turn as the stack; πR² is the area of the edge of the sheets
  begin: ({ layers, rolled, length }, _, context) => {
    const stack = stackOf(layers, context);
    positive(rolled, 'The length of the sheets');
    const radius = Math.sqrt((stack.height * rolled) / Math.PI);
    const perRadian = stack.height / TURN;
    const sample: Sampler = (x, y) => {
      const angle = Math.atan2(y, x);
      const turns = (Math.hypot(x, y) - perRadian * (angle < 0 ? angle + TURN : angle)) / stack.height;
      return materialAt(stack, (turns - Math.floor(turns)) * stack.height);
    };
    return begun(circle(2 * radius), length, sample, edgeOf(layers, stack, rolled));
  },
};
