import type { StepOf } from '#core/cane';
import { Choice } from '../../../parts/Choice.js';
import { Value } from '../../../parts/Value.js';
import { Whole, readPlain, set } from './fields.js';
import { newId } from './first.js';
import { FIT, handle } from './handle.js';
import { KindsInTurn } from './OtherKinds.js';
import { MIRRORED } from './pie.js';
import type { StepView } from './view.js';

const [FEWEST, MOST, USUAL_WEDGES] = [2, 36, 4];
/** Width of the triangle for its height: as core reads it, and one with equal sides. */
const [LEAST_RATIO, MOST_RATIO, EQUAL_SIDES] = [0.1, 10, 1.15];

export const fan: StepView<StepOf<'fan'>> = {
  word: 'Side by side, tips up',
  group: 'join',
  title: ({ count }) => `${count} side by side, tips up`,
  first: (now) => ({
    id: newId(),
    do: 'fan',
    count: Math.max(FEWEST, Math.min(MOST, now?.count ?? USUAL_WEDGES)),
    mirrored: false,
    ratio: EQUAL_SIDES,
  }),
  Fields: (of) => (
    <>
      <Whole of={of} label="The number of wedges" field="count" low={FEWEST} high={MOST} /> wedges, their tips up,{' '}
      <Choice
        label="Mirrored or not"
        value={of.step.mirrored ? 'yes' : 'no'}
        options={MIRRORED}
        onChange={(v) => {
          set(of, { mirrored: v === 'yes' });
        }}
      />
      , pressed to one triangle{' '}
      <Value
        label="Width for its height"
        text={String(Math.round(of.step.ratio * 100) / 100)}
        read={readPlain}
        onChange={(ratio) => {
          if (ratio >= LEAST_RATIO && ratio <= MOST_RATIO) set(of, { ratio });
        }}
      />{' '}
      times as wide as high
      <KindsInTurn of={of} />
    </>
  ),
  handles: (step) => [handle(step, 'wide for its height', FIT, step.ratio, (ratio) => ({ ratio }))],
  line: ({ count, mirrored }) => {
    const turned = mirrored ? ', every other one turned end for end' : '';
    return `Stand ${count} side by side with their tips up${turned}, and press them together to one triangle.`;
  },
};
