import type { ReactElement } from 'react';
import type { StepOf } from '#core/cane';
import { Choice, type Option } from '../../../parts/Choice.js';
import { readCount } from '../../../parts/readCount.js';
import { Value } from '../../../parts/Value.js';
import { Degrees } from './fields.js';
import { newId } from './first.js';
import { TURN, handle } from './handle.js';
import type { EditorProps, StepView } from './view.js';

type Split = StepOf<'split'>;

const WORDS: Readonly<Record<number, string>> = { 2: 'Cut in half', 4: 'Cut in quarters' };

/** Which of so many parts can go on. */
const keepOptions = (parts: number): Option[] => [
  { value: '0', text: 'all go on, as they are alike' },
  ...Array.from({ length: parts }, (_, i) => ({
    value: String(i + 1),
    text: `only part ${i + 1}, to the left of cut ${i + 1}`,
  })),
];

function Fields(of: EditorProps<Split>): ReactElement {
  const { keep, ...step } = of.step;
  return (
    <>
      in{' '}
      <Value
        label="The number of parts"
        text={String(step.parts)}
        read={readCount(2, 24, 'The number of parts')}
        onChange={(parts) => {
          of.onChange({ ...step, parts });
        }}
      />{' '}
      equal parts, the first cut at <Degrees of={of} label="Direction of the first cut" field="degrees" />;{' '}
      <Choice
        label="Which parts go on"
        value={String(keep ?? 0)}
        options={keepOptions(step.parts)}
        onChange={(next) => {
          of.onChange(next === '0' ? step : { ...step, keep: Number(next) });
        }}
      />
    </>
  );
}

export const split: StepView<Split> = {
  word: 'Cut lengthwise',
  group: 'cut',
  title: ({ parts, keep }) =>
    `${WORDS[parts] ?? `Cut in ${parts} wedges`}${keep === undefined ? '' : `, part ${keep}`}`,
  first: () => ({ id: newId(), do: 'split', parts: 4, degrees: 0 }),
  Fields,
  handles: (step) => [handle(step, 'first cut', TURN, step.degrees, (degrees) => ({ degrees }))],
  line: ({ parts, keep }) => {
    const kept =
      keep === undefined
        ? ''
        : ` Part ${keep}, counted from the first cut to the left, goes on; the others stay aside.`;
    return `Cut it lengthwise in ${parts} equal parts, the long blade straight down.${kept}`;
  },
};
