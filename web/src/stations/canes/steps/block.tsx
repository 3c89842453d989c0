import type { StepOf } from '#core/cane';
import { showLength, showSize } from '#core/units';
import { Clay, Length } from './fields.js';
import { newId } from './first.js';
import { SIZE, handle } from './handle.js';
import type { StepView } from './view.js';

export const block: StepView<StepOf<'block'>> = {
  word: 'Block',
  group: null,
  title: () => 'Block',
  first: (_, { light }) => ({ id: newId(), do: 'block', of: light, width: 30, height: 20, length: 60 }),
  Fields: (of) => (
    <>
      of <Clay of={of} />, <Length of={of} label="Width of the block" field="width" /> ×{' '}
      <Length of={of} label="Height of the block" field="height" />,{' '}
      <Length of={of} label="Length of the block" field="length" /> long
    </>
  ),
  handles: (step) => [
    handle(step, 'wide', SIZE, step.width, (width) => ({ width })),
    handle(step, 'high', SIZE, step.height, (height) => ({ height })),
  ],
  begins: ({ of, width, height }, { names, units, length }) =>
    `block of ${names(of)}, ${showSize(width, height, units)}, ${showLength(length, units)} long`,
};
