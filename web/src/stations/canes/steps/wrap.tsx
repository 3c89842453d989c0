import type { StepOf } from '#core/cane';
import { showLength } from '#core/units';
import { ThicknessValue } from '../../../parts/Thickness.js';
import { Clay, set } from './fields.js';
import { newId, sizeOf, tenth } from './first.js';
import { THIN, handle } from './handle.js';
import type { StepView } from './view.js';

/** A first wrap for the width of the cane. */
const USUAL_SHARE = 0.05;

export const wrap: StepView<StepOf<'wrap'>> = {
  word: 'Wrap',
  group: 'cover',
  title: ({ thickness }, units) => `Wrap ${showLength(thickness, units, true)}`,
  first: (now, { dark }) => ({ id: newId(), do: 'wrap', of: dark, thickness: tenth(sizeOf(now).across * USUAL_SHARE) }),
  Fields: (of) => (
    <>
      with <Clay of={of} />,{' '}
      <ThicknessValue
        label="Thickness of the wrap"
        value={of.step.thickness}
        onChange={(thickness) => {
          set(of, { thickness });
        }}
      />{' '}
      thick
    </>
  ),
  handles: (step) => [handle(step, 'thick', THIN, step.thickness, (thickness) => ({ thickness }))],
  line: (_, { sheet }) => `${sheet}Lay the sheet around without air, cut where it meets, roll the seam smooth.`,
};
