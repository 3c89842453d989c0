import type { StepOf } from '#core/cane';
import { Choice } from '../../../parts/Choice.js';
import { Degrees, Whole, set } from './fields.js';
import { newId } from './first.js';
import { TURN, handle } from './handle.js';
import { KindsInTurn } from './OtherKinds.js';
import type { StepView } from './view.js';

export const MIRRORED = [
  { value: 'yes', text: 'every other one mirrored' },
  { value: 'no', text: 'all the same way' },
] as const;

export const pie: StepView<StepOf<'pie'>> = {
  word: 'Join as wedges',
  group: 'join',
  title: ({ count, mirrored }) => `${count} wedges${mirrored ? ', mirrored' : ''}`,
  first: () => ({ id: newId(), do: 'pie', count: 6, mirrored: true, corner: 0 }),
  Fields: (of) => (
    <>
      <Whole of={of} label="The number of wedges" field="count" low={3} high={36} /> around the middle,{' '}
      <Choice
        label="Mirrored or not"
        value={of.step.mirrored ? 'yes' : 'no'}
        options={MIRRORED}
        onChange={(v) => {
          set(of, { mirrored: v === 'yes' });
        }}
      />
      , turned <Degrees of={of} label="Turn of the wedges" field="corner" />
      <KindsInTurn of={of} />
    </>
  ),
  handles: (step) => [handle(step, 'wedges turned', TURN, step.corner, (corner) => ({ corner }))],
  line: ({ count, mirrored }) => {
    const turned = mirrored ? ', every other one turned end for end' : '';
    return `${count} wedges around the middle${turned}. Press each to its wedge first.`;
  },
};
