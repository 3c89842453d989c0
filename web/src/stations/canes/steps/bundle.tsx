import { SHAPES, type StepOf } from '#core/cane';
import { Choice } from '../../../parts/Choice.js';
import { Whole, set } from './fields.js';
import { newId } from './first.js';
import { CountedKinds } from './OtherKinds.js';
import { SQUEEZE_THEM } from './ring.js';
import { SHAPE_WORDS } from './shapeWords.js';
import type { StepView } from './view.js';

type Bundle = StepOf<'bundle'>;

const [MOST, USUAL_RODS] = [300, 7];
/** Shapes that rods can be squeezed to: no points, where cells would have no room. */
const SQUEEZED_TO = SHAPES.filter((s) => s !== 'drawn' && s !== 'petal' && s !== 'teardrop');

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
      of <Whole of={of} label="The number of rods" field="count" low={1} high={MOST} /> of these, squeezed to{' '}
      <Choice
        label="Shape of the bundle"
        value={of.step.to.shape}
        options={SQUEEZED_TO.map((value) => ({ value, text: SHAPE_WORDS[value] }))}
        onChange={(shape) => {
          set(of, { to: { shape } });
        }}
      />
      , order <Whole of={of} label="Order of the rods" field="seed" low={0} high={1_000_000} />
      <CountedKinds
        of={of}
        others={of.step.others ?? []}
        onOthers={(others) => {
          set(of, { others });
        }}
      />
    </>
  ),
  line: () => SQUEEZE_THEM,
};
