import type { ReactElement } from 'react';
import type { StepOf } from '#core/cane';
import { showLength } from '#core/units';
import { Choice } from '../../../parts/Choice.js';
import { Whole, set } from './fields.js';
import { newId } from './first.js';
import type { EditorProps, StepView } from './view.js';

type Halve = StepOf<'halve'>;

const SIDES = [
  { value: 'top', text: 'on top' },
  { value: 'right', text: 'at the right' },
] as const;

function Fields(of: EditorProps<Halve>): ReactElement {
  return (
    <>
      <Whole of={of} label="The number of halvings" field="times" low={1} high={8} />{' '}
      {of.step.times === 1 ? 'time' : 'times'}, the second half{' '}
      <Choice
        label="Where the second half is laid"
        value={of.step.side}
        options={SIDES}
        onChange={(side) => {
          set(of, { side });
        }}
      />
      : it lies {2 ** of.step.times} times in the face
    </>
  );
}

export const halve: StepView<Halve> = {
  word: 'Halve and stack',
  group: 'join',
  title: ({ times }) => (times === 1 ? 'Halve and stack' : `Halve and stack, ${times} times`),
  first: () => ({ id: newId(), do: 'halve', times: 1, side: 'top' }),
  Fields,
  line: ({ times, side }, { before, units }) => {
    const half = before ? ` at ${showLength(before.length / 2, units)}` : '';
    const again = times === 1 ? '' : ` Then again, ${times} times in all, each time at the half of what there is.`;
    const laid = side === 'top' ? 'lay one half on the other' : 'lay the halves side by side';
    return `Cut it across in half${half} and ${laid}, edges flush, without air.${again}`;
  },
};
