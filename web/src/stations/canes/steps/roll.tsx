import type { StepOf } from '#core/cane';
import { showSize } from '#core/units';
import { Length, Ready, Sheets, Size, setAnew } from './fields.js';
import { newId } from './first.js';
import { handle, handlesOfLayers } from './handle.js';
import { sheetsWords } from './sheetWords.js';
import type { StepView } from './view.js';

export const roll: StepView<StepOf<'roll'>> = {
  word: 'Jelly roll',
  group: null,
  title: () => 'Jelly roll',
  first: (_, { light, dark }) => ({
    id: newId(),
    do: 'roll',
    layers: [
      { of: light, thickness: 1.5 },
      { of: dark, thickness: 1 },
    ],
    rolled: 220,
    length: 50,
  }),
  Fields: (of) => (
    <>
      <Size of={of} label="Length of the sheets" field="rolled" /> of sheet rolled up,{' '}
      <Length of={of} label="Length of the roll" field="length" /> long; from the inside:
      <Sheets
        of={of}
        onLayers={(layers) => {
          setAnew(of, { layers });
        }}
      />
      <Ready of={of} />
    </>
  ),
  handles: (step) => [
    handle(step, 'sheet rolled up', ['mm', 20, 600, 1], step.rolled, (rolled) => ({ rolled })),
    ...handlesOfLayers(step),
  ],
  begins: ({ layers, rolled }, beginning) =>
    `jelly roll: ${sheetsWords(layers, beginning)}; sheets of ${showSize(rolled, beginning.length, beginning.units)}`,
};
