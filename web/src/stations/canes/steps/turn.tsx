import type { StepOf } from '#core/cane';
import { Degrees } from './fields.js';
import { newId } from './first.js';
import { TURN, handle } from './handle.js';
import type { StepView } from './view.js';

export const turn: StepView<StepOf<'turn'>> = {
  word: 'Turn',
  group: 'shape',
  title: ({ degrees }) => `Turn ${Math.round(degrees)}°`,
  first: () => ({ id: newId(), do: 'turn', degrees: 90 }),
  Fields: (of) => (
    <>
      by <Degrees of={of} label="Turn" field="degrees" /> to the left
    </>
  ),
  handles: (step) => [handle(step, 'turned', TURN, step.degrees, (degrees) => ({ degrees }))],
  line: ({ degrees }) => `Turn it by ${Math.round(degrees)}°.`,
};
