import type { ReactElement } from 'react';
import { SHAPES, type StepOf } from '#core/cane';
import { Choice } from '../../../parts/Choice.js';
import { CountValue } from '../../../parts/Value.js';
import { PartOf, Whole, set } from './fields.js';
import { newId } from './first.js';
import { SQUEEZE_THEM } from './ring.js';
import { SHAPE_WORDS } from './shapeWords.js';
import type { EditorProps, StepView } from './view.js';

type Bundle = StepOf<'bundle'>;

const [MOST, USUAL_RODS] = [300, 7];
/** Shapes that rods can be squeezed to: no points, where cells would have no room. */
const SQUEEZED_TO = SHAPES.filter((s) => s !== 'drawn' && s !== 'petal' && s !== 'teardrop');

/** Other rods in it, and how many of each. */
function Others({ of }: { readonly of: EditorProps<Bundle> }): ReactElement {
  const others = of.step.others ?? [];
  return (
    <>
      {others.map((o, i) => (
        <span key={i}>
          {' '}
          and{' '}
          <CountValue
            label={`How many of part ${i + 1}`}
            value={o.count}
            onChange={(count) => {
              if (Number.isInteger(count) && count >= 0 && count <= MOST)
                set(of, { others: others.map((x, k) => (k === i ? { ...x, count } : x)) });
            }}
          />{' '}
          <PartOf of={of} at={i} label={`Part ${i + 1} of the bundle`} />
        </span>
      ))}
    </>
  );
}

export const bundle: StepView<Bundle> = {
  word: 'Bundle',
  group: 'join',
  title: ({ count, others = [] }) => `Bundle of ${others.reduce((sum, o) => sum + o.count, count)}`,
  first: (now) => ({
    id: newId(),
    do: 'bundle',
    count: Math.max(2, Math.min(MOST, now?.count ?? USUAL_RODS)),
    to: { shape: 'round' },
    seed: 1,
  }),
  Fields: (of) => (
    <>
      of <Whole of={of} label="The number of rods" field="count" low={1} high={MOST} /> of these
      <Others of={of} />, squeezed to{' '}
      <Choice
        label="Shape of the bundle"
        value={of.step.to.shape}
        options={SQUEEZED_TO.map((value) => ({ value, text: SHAPE_WORDS[value] }))}
        onChange={(shape) => {
          set(of, { to: { shape } });
        }}
      />
      , order <Whole of={of} label="Order of the rods" field="seed" low={0} high={1_000_000} />
    </>
  ),
  line: () => SQUEEZE_THEM,
};
