import type { StepOf } from '#core/cane';
import { Choice } from '../../../parts/Choice.js';
import { PartOf, set } from './fields.js';
import { blockOf, newId, sizeOf } from './first.js';
import type { StepView } from './view.js';

const SIDES = [
  { value: 'right', text: 'at the right' },
  { value: 'top', text: 'on top' },
] as const;
const SIDE_WORDS: Readonly<Record<StepOf<'stack'>['side'], string>> = { right: 'at the right', top: 'on top' };
/** Width of a first block for its height. */
const USUAL_WIDTH = 0.3;

export const stack: StepView<StepOf<'stack'>> = {
  word: 'Stack beside',
  group: 'join',
  title: ({ side }) => (side === 'right' ? 'Stack beside' : 'Stack on top'),
  first: (now, { dark }) => {
    const { height, length } = sizeOf(now);
    return { id: newId(), do: 'stack', side: 'right', part: blockOf(dark, height * USUAL_WIDTH, height, length) };
  },
  Fields: (of) => (
    <>
      <PartOf of={of} label="What is stacked" />{' '}
      <Choice
        label="Where it is stacked"
        value={of.step.side}
        options={SIDES}
        onChange={(side) => {
          set(of, { side });
        }}
      />
    </>
  ),
  line: ({ part, side }) =>
    `Lay ${part.name ?? 'the other one'} ${SIDE_WORDS[side]}, edges flush, and press the joint.`,
};
