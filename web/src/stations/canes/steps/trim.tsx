import type { StepOf } from '#core/cane';
import { showLength } from '#core/units';
import { cutLine } from './endsWords.js';
import { Length } from './fields.js';
import { newId, sizeOf, tenth } from './first.js';
import type { StepView } from './view.js';

export const trim: StepView<StepOf<'trim'>> = {
  word: 'Trim the ends',
  group: 'finish',
  title: ({ each }, units) => `Trim ${showLength(each, units)}`,
  first: (now) => {
    const { across, length } = sizeOf(now);
    return { id: newId(), do: 'trim', each: tenth(Math.min(across, length / 4)) };
  },
  Fields: (of) => (
    <>
      <Length of={of} label="Cut off each end" field="each" /> off each end
    </>
  ),
  line: ({ each }, { stage, units }) => cutLine(each, stage?.length ?? 0, units),
};
