import type { ReactElement } from 'react';
import { sideTowards, sidesOf, type Side, type StepOf } from '#core/cane';
import { showLength } from '#core/units';
import { Choice } from '../../../parts/Choice.js';
import { useUnits } from '../../../state/view.js';
import { set } from './fields.js';
import { newId } from './first.js';
import type { EditorProps, StepView } from './view.js';
import { compassOf, longSides } from './sideWords.js';

type Pair = StepOf<'pair'>;

const TURNED = [
  { value: 'mirror', text: 'mirrored' },
  { value: 'half', text: 'upside down' },
] as const;

/** The straight sides of the piece there is. */
function useSides({ now }: EditorProps<Pair>): readonly Side[] {
  return now ? longSides(sidesOf({ points: now.points, round: now.round })) : [];
}

/** Along which of its sides they are joined. */
function AlongSide(of: EditorProps<Pair>): ReactElement {
  const units = useUnits();
  const sides = useSides(of);
  const { side } = of.step;
  const outline = of.now && { points: of.now.points, round: of.now.round };
  const chosen = side === undefined || !outline ? null : sideTowards(outline, side);
  const options = [
    { value: 'bottom', text: 'the flat side at the bottom' },
    ...sides.map((s) => ({
      value: String(s.outwards),
      text: `the side that looks ${compassOf(s.outwards)}, ${showLength(s.length, units)}`,
    })),
  ];
  return (
    <Choice
      label="The side they are joined along"
      value={chosen ? String(chosen.outwards) : 'bottom'}
      options={options}
      onChange={(next) => {
        const { side: _, ...rest } = of.step;
        of.onChange(next === 'bottom' ? rest : { ...rest, side: Number(next) });
      }}
    />
  );
}

export const pair: StepView<Pair> = {
  word: 'Join two',
  group: 'join',
  title: ({ turned }) => (turned === 'mirror' ? 'Join two, mirrored' : 'Join two, turned'),
  first: () => ({ id: newId(), do: 'pair', turned: 'mirror' }),
  Fields: (of) => (
    <>
      along <AlongSide {...of} />,{' '}
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
  marks: (step) => ({ kind: 'side', towards: step.side ?? null, with: (side) => ({ ...step, side }) }),
  line: ({ turned, side }) => {
    const along = side === undefined ? 'the flat side' : `the side that looks ${compassOf(side)}`;
    return turned === 'mirror' ? `Two along ${along}, one turned end for end.` : `Two along ${along}, one upside down.`;
  },
};
