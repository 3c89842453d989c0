import type { StepOf } from '#core/cane';
import { showLength } from '#core/units';
import { Clay, Length } from './fields.js';
import { newId } from './first.js';
import { SIZE, handle } from './handle.js';
import { SameSize } from './SameSize.js';
import type { StepView } from './view.js';

export const log: StepView<StepOf<'log'>> = {
  word: 'Log',
  group: null,
  title: () => 'Log',
  first: (_, { light }) => ({ id: newId(), do: 'log', of: light, diameter: 24, length: 60 }),
  Fields: (of) => (
    <>
      of <Clay of={of} />, <Length of={of} label="Diameter of the log" field="diameter" /> across,{' '}
      <Length of={of} label="Length of the log" field="length" /> long
      <SameSize of={of} what="log" />
    </>
  ),
  handles: (step) => [handle(step, 'across', SIZE, step.diameter, (diameter) => ({ diameter }))],
  begins: ({ of, diameter }, { names, units, length }) =>
    `log of ${names(of)}, ${showLength(diameter, units)} across, ${showLength(length, units)} long`,
};
