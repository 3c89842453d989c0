import type { StepOf } from '#core/cane';
import { Value } from '../../../parts/Value.js';
import { readPlain, set } from './fields.js';
import { newId } from './first.js';
import { FIT, handle } from './handle.js';
import type { StepView } from './view.js';

export const squeeze: StepView<StepOf<'squeeze'>> = {
  word: 'Squeeze one way',
  group: 'shape',
  title: ({ factor }) => (factor > 1 ? 'Flatten' : 'Squeeze high'),
  first: () => ({ id: newId(), do: 'squeeze', factor: 1.5 }),
  Fields: (of) => (
    <>
      <Value
        label="How many times as wide"
        text={String(of.step.factor)}
        read={readPlain}
        onChange={(factor) => {
          set(of, { factor });
        }}
      />{' '}
      times as wide, and as much less high
    </>
  ),
  handles: (step) => [handle(step, 'times as wide', FIT, step.factor, (factor) => ({ factor }))],
  line: ({ factor }) => {
    const times = factor > 1 ? `${factor} times as wide` : `${Math.round(100 / factor) / 100} times as high`;
    return `Press it until it is ${times}.`;
  },
};
