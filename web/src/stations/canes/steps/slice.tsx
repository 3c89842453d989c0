import type { StepOf } from '#core/cane';
import { showLength } from '#core/units';
import { ThicknessValue } from '../../../parts/Thickness.js';
import { set } from './fields.js';
import { newId } from './first.js';
import type { StepView } from './view.js';

// slicing is the end of every bench list, with the slices that are wanted: no line of its own
export const slice: StepView<StepOf<'slice'>> = {
  word: 'Slice',
  group: 'finish',
  title: ({ thickness }, units) => `Slice ${showLength(thickness, units)}`,
  first: () => ({ id: newId(), do: 'slice', thickness: 2 }),
  Fields: (of) => (
    <>
      <ThicknessValue
        label="Thickness of a slice"
        value={of.step.thickness}
        onChange={(thickness) => {
          set(of, { thickness });
        }}
      />{' '}
      thick
    </>
  ),
};
