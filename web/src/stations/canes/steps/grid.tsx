import { Box } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { TURNS, type StepOf } from '#core/cane';
import { Choice } from '../../../parts/Choice.js';
import { Word } from '../../../theme/pieces.js';
import { PartOf, Whole, set } from './fields.js';
import { newId } from './first.js';
import { TURN_WORDS } from './shapeWords.js';
import type { EditorProps, StepView } from './view.js';

type Grid = StepOf<'grid'>;

/** Other canes that take turns with the row's own. */
function Others({ of }: { readonly of: EditorProps<Grid> }): ReactElement {
  const others = of.step.others ?? [];
  return (
    <>
      {others.map((_, i) => (
        <Box key={i}>
          and <PartOf of={of} at={i} label={`Other squares ${i + 1}`} /> ·{' '}
          <Word
            onClick={() => {
              set(of, { others: others.filter((__, k) => k !== i) });
            }}
          >
            out
          </Word>
        </Box>
      ))}
    </>
  );
}

export const grid: StepView<Grid> = {
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
      <Others of={of} />
    </>
  ),
  line: ({ rows, columns, turns }) =>
    `${rows} rows of ${columns}, ${TURN_WORDS[turns]}. Press the joints, no air between them.`,
};
