import { TURNS, type StepOf } from '#core/cane';
import { Choice } from '../../../parts/Choice.js';
import { Whole, set } from './fields.js';
import { newId } from './first.js';
import { KindsInTurn } from './OtherKinds.js';
import { TURN_WORDS } from './shapeWords.js';
import type { StepView } from './view.js';

export const grid: StepView<StepOf<'grid'>> = {
  word: 'Join in rows',
  group: 'join',
  title: ({ rows, columns }) => `Join ${rows} × ${columns}`,
  first: () => ({ id: newId(), do: 'grid', rows: 2, columns: 2, turns: 'none' }),
  Fields: (of) => (
    <>
      <Whole of={of} label="The number of rows" field="rows" low={1} high={40} /> rows of{' '}
      <Whole of={of} label="The number of columns" field="columns" low={1} high={40} />,{' '}
      <Choice
        label="How neighbours are turned"
        value={of.step.turns}
        options={TURNS.map((value) => ({ value, text: TURN_WORDS[value] }))}
        onChange={(turns) => {
          set(of, { turns });
        }}
      />
      <KindsInTurn of={of} />
    </>
  ),
  line: ({ rows, columns, turns }) =>
    `${rows} rows of ${columns}, ${TURN_WORDS[turns]}. Press the joints, no air between them.`,
};
