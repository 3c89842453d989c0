import { Suspense, lazy } from 'react';
import { SHAPES, type Point, type Shape, type StepOf } from '#core/cane';
import { Choice } from '../../../parts/Choice.js';
import { Degrees, Ratio, set } from './fields.js';
import { newId } from './first.js';
import { FIT, TURN, handle } from './handle.js';
import { SHAPE_WORDS } from './shapeWords.js';
import { landingWords } from './sideWords.js';
import type { EditorProps, StepView } from './view.js';

// the pad comes with the drawing library, and only who draws waits for that
const DrawOutline = lazy(() => import('./DrawOutline.js'));

type Press = StepOf<'press'>;

/** A first drawn shape: the outline as it is, to be drawn over. */
function asItLies({ now }: EditorProps<Press>): Shape {
  const points = now?.points ?? SQUARE;
  return { shape: 'drawn', points: points.map(([x, y]): Point => [hundredth(x), hundredth(y)]) };
}
const SQUARE: readonly Point[] = [
  [-10, -10],
  [10, -10],
  [10, 10],
  [-10, 10],
];
const hundredth = (mm: number): number => Math.round(mm * 100) / 100;

export const press: StepView<Press> = {
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
        options={SHAPES.map((value) => ({ value, text: SHAPE_WORDS[value] }))}
        onChange={(shape) => {
          set(of, { to: shape === 'drawn' ? asItLies(of) : { shape } });
        }}
      />
      <Ratio
        to={of.step.to}
        onChange={(to) => {
          set(of, { to });
        }}
      />
      , turned <Degrees of={of} label="Turn of the press" field="turn" />
      {of.step.to.shape === 'drawn' && (
        <Suspense fallback={null}>
          <DrawOutline
            points={of.step.to.points ?? []}
            onDraw={(points) => {
              set(of, { to: { shape: 'drawn', points } });
            }}
          />
        </Suspense>
      )}
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
  line: ({ to }, { landings }) =>
    `Press it to ${SHAPE_WORDS[to.shape]} from all sides, turn by turn, and do not roll it.${landingWords(landings)}`,
};
