import type { StepOf } from '#core/cane';
import { PartOf, Whole, set } from './fields.js';
import { newId, rodOf, sizeOf } from './first.js';
import { CountedKinds } from './OtherKinds.js';
import type { StepView } from './view.js';

const [FEWEST, MOST, USUAL_RODS] = [3, 60, 6];
const FEWEST_OWN = 1;
/** A first rod in the middle for the width of those around it. */
const MIDDLE = 1.6;
/** What hands do with rods that lie loosely together. */
export const SQUEEZE_THEM = 'Bundle them, squeeze from all sides until there is no gap, and only then roll.';

export const ring: StepView<StepOf<'ring'>> = {
  word: 'Ring of rods',
  group: 'join',
  title: ({ count, others = [] }) => `Ring of ${others.reduce((sum, o) => sum + o.count, count)}`,
  first: (now, { light }) => ({
    id: newId(),
    do: 'ring',
    count: Math.max(FEWEST, Math.min(MOST, now?.count ?? USUAL_RODS)),
    middle: rodOf(light, sizeOf(now).across * MIDDLE, sizeOf(now).length),
  }),
  Fields: (of) => (
    <>
      of <Whole of={of} label="The number of rods" field="count" low={FEWEST_OWN} high={MOST} /> of these around{' '}
      {of.step.middle ? <PartOf of={of} label="The rod in the middle" /> : 'nothing'}, squeezed without gaps
      <CountedKinds
        of={of}
        others={of.step.others ?? []}
        after={of.step.middle ? 1 : 0}
        onOthers={(others) => {
          set(of, { others });
        }}
      />
    </>
  ),
  line: () => SQUEEZE_THEM,
};
