import type { StepOf } from '#core/cane';
import { Choice } from '../../../parts/Choice.js';
import { set } from './fields.js';
import { newId } from './first.js';
import type { StepView } from './view.js';

const TURNED = [
  { value: 'mirror', text: 'mirrored' },
  { value: 'half', text: 'upside down' },
] as const;

export const pair: StepView<StepOf<'pair'>> = {
  word: 'Join two',
  group: 'join',
  title: ({ turned }) => (turned === 'mirror' ? 'Join two, mirrored' : 'Join two, turned'),
  first: () => ({ id: newId(), do: 'pair', turned: 'mirror' }),
  Fields: (of) => (
    <>
      along the flat side,{' '}
      <Choice
        label="How the second lies"
        value={of.step.turned}
        options={TURNED}
        onChange={(turned) => {
          set(of, { turned });
        }}
      />
    </>
  ),
  line: ({ turned }) =>
    turned === 'mirror'
      ? 'Two along the flat side, one turned end for end.'
      : 'Two along the flat side, one upside down.',
};
