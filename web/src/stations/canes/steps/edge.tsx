import type { StepOf } from '#core/cane';
import { showLength } from '#core/units';
import { Choice } from '../../../parts/Choice.js';
import { ThicknessValue } from '../../../parts/Thickness.js';
import { Clay, Degrees, set } from './fields.js';
import { newId, sizeOf, tenth } from './first.js';
import { THIN, TURN, handle } from './handle.js';
import type { StepView } from './view.js';

const FORMS = [
  { value: 'sheet', text: 'a sheet' },
  { value: 'snake', text: 'a snake that runs out at both ends' },
] as const;
/** A first sheet for the width of the cane; it covers the upper third. */
const [USUAL_SHARE, USUAL_FROM, USUAL_TO] = [0.05, 30, 150];

export const edge: StepView<StepOf<'edge'>> = {
  word: 'Lay along a stretch',
  group: 'cover',
  title: ({ thickness }, units) => `Along a stretch, ${showLength(thickness, units, true)}`,
  first: (now, { dark }) => ({
    id: newId(),
    do: 'edge',
    of: dark,
    thickness: tenth(sizeOf(now).across * USUAL_SHARE),
    from: USUAL_FROM,
    to: USUAL_TO,
    form: 'sheet',
  }),
  Fields: (of) => (
    <>
      <Choice
        label="What is laid along it"
        value={of.step.form}
        options={FORMS}
        onChange={(form) => {
          set(of, { form });
        }}
      />{' '}
      of <Clay of={of} />,{' '}
      <ThicknessValue
        label="Thickness of what is laid along it"
        value={of.step.thickness}
        onChange={(thickness) => {
          set(of, { thickness });
        }}
      />{' '}
      thick, from <Degrees of={of} label="Where it begins" field="from" /> round to the left to{' '}
      <Degrees of={of} label="Where it ends" field="to" />
    </>
  ),
  handles: (step) => [
    handle(step, 'thick', THIN, step.thickness, (thickness) => ({ thickness })),
    handle(step, 'begins', TURN, step.from, (from) => ({ from })),
    handle(step, 'ends', TURN, step.to, (to) => ({ to })),
  ],
  marks: (step) => ({ kind: 'stretch', from: step.from, to: step.to, with: (from, to) => ({ ...step, from, to }) }),
  line: ({ form }, { sheet }) =>
    form === 'sheet'
      ? `${sheet}Lay it along the marked stretch, press both ends down, and smooth the seams.`
      : `${sheet}Lay it along the marked stretch, thickest in the middle, drawn out thin at both ends.`,
};
