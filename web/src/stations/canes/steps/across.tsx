import type { StepOf } from '#core/cane';
import { showLength } from '#core/units';
import { Whole } from './fields.js';
import { newId } from './first.js';
import type { StepView } from './view.js';

export const across: StepView<StepOf<'across'>> = {
  word: 'Cut across',
  group: 'cut',
  title: ({ pieces }) => `Cut across in ${pieces}`,
  first: () => ({ id: newId(), do: 'across', pieces: 4 }),
  Fields: (of) => (
    <>
      in <Whole of={of} label="The number of pieces" field="pieces" low={2} high={400} /> equal pieces
    </>
  ),
  line: ({ pieces }, { stage, units }) => {
    const long = stage ? `${showLength(stage.length, units)} long` : '';
    return `Cut it across in ${pieces} equal pieces of ${long}.`;
  },
};
