import type { StepOf } from '#core/cane';
import { showSize } from '#core/units';
import { Length, Sheets, Whole, set } from './fields.js';
import { newId } from './first.js';
import { SIZE, handle, handlesOfLayers } from './handle.js';
import { sheetsWords } from './sheetWords.js';
import type { StepView } from './view.js';

export const loaf: StepView<StepOf<'loaf'>> = {
  word: 'Stripe loaf',
  group: null,
  title: ({ layers, times }) => `Loaf, ${layers.length * times} stripes`,
  first: (_, { light, dark }) => ({
    id: newId(),
    do: 'loaf',
    layers: [
      { of: light, thickness: 2 },
      { of: dark, thickness: 2 },
    ],
    times: 4,
    width: 30,
    length: 60,
  }),
  Fields: (of) => (
    <>
      stacked <Whole of={of} label="The number of stacks" field="times" low={1} high={400} /> times over,{' '}
      <Length of={of} label="Width of the loaf" field="width" /> wide,{' '}
      <Length of={of} label="Length of the loaf" field="length" /> long; from the bottom:
      <Sheets
        of={of}
        onLayers={(layers) => {
          set(of, { layers });
        }}
      />
    </>
  ),
  handles: (step) => [handle(step, 'wide', SIZE, step.width, (width) => ({ width })), ...handlesOfLayers(step)],
  begins: ({ layers, times, width }, beginning) => {
    const sheets = sheetsWords(layers, beginning);
    return `loaf: ${times} × (${sheets}), sheets of ${showSize(width, beginning.length, beginning.units)}`;
  },
};
