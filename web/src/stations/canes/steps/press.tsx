import { SHAPES, type StepOf } from '#core/cane';
import { Choice } from '../../../parts/Choice.js';
import { Degrees, Ratio, set } from './fields.js';
import { newId } from './first.js';
import { FIT, TURN, handle } from './handle.js';
import { SHAPE_WORDS } from './shapeWords.js';
import type { StepView } from './view.js';

export const press: StepView<StepOf<'press'>> = {
  word: 'Press to a shape',
  group: 'shape',
  title: ({ to }) => `Press to ${SHAPE_WORDS[to.shape]}`,
  first: () => ({ id: newId(), do: 'press', to: { shape: 'square' }, turn: 0 }),
  Fields: (of) => (
    <>
      to{' '}
      <Choice
        label="Shape"
        value={of.step.to.shape}
        options={SHAPES.filter((s) => s !== 'drawn' || of.step.to.shape === 'drawn').map((value) => ({
          value,
          text: SHAPE_WORDS[value],
        }))}
        onChange={(shape) => {
          set(of, { to: { shape } });
        }}
      />
      <Ratio
        to={of.step.to}
        onChange={(to) => {
          set(of, { to });
        }}
      />
      , turned <Degrees of={of} label="Turn of the press" field="turn" />
    </>
  ),
  handles: (step) => {
    const { to, turn } = step;
    const ratio =
      to.ratio === undefined
        ? []
        : [handle(step, 'wide for its height', FIT, to.ratio, (next) => ({ to: { ...to, ratio: next } }))];
    return [handle(step, 'turned', TURN, turn, (next) => ({ turn: next })), ...ratio];
  },
  line: ({ to }) => `Press it to ${SHAPE_WORDS[to.shape]} from all sides, turn by turn, and do not roll it.`,
};
