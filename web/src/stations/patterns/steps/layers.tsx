import type { PatternStepOf } from '#core/pattern';
import { showLength, showSize } from '#core/units';
import { Layers } from '../../canes/steps/Layers.js';
import { wordsOfSheet } from './words.js';
import { Length, OneOf, Thickness, Whole, YesNo, newId, set, tenth } from './fields.js';
import type { StepView } from './view.js';

const ACROSS = [
  { value: 'width', text: 'across the width' },
  { value: 'length', text: 'across the length' },
] as const;
const ALONG = [
  { value: 'width', text: 'along its width' },
  { value: 'length', text: 'along its length' },
  { value: 'both', text: 'both ways, by hand' },
] as const;
const times = (n: number): string => (n === 1 ? 'once' : `${n} times`);

export const stack: StepView<PatternStepOf<'stack'>> = {
  word: 'Stack of sheets',
  group: null,
  title: ({ layers }) => `Stack of ${layers.length}`,
  first: (_, { light, strong }) => ({
    id: newId(),
    do: 'stack',
    width: 60,
    height: 60,
    layers: [
      { of: strong, thickness: 2 },
      { of: light, thickness: 2 },
    ],
  }),
  Fields: (of) => (
    <>
      Sheets <Length of={of} label="Width of the sheets" field="width" /> by{' '}
      <Length of={of} label="Length of the sheets" field="height" />, the first at the bottom
      <Layers
        layers={of.step.layers}
        materials={of.materials}
        onChange={(layers) => {
          set(of, { layers });
        }}
      />
    </>
  ),
  line: ({ layers, width, height }, { name, own, units }) => {
    const each = layers.map(({ of, thickness }) => `${name(of)} ${wordsOfSheet(thickness, own, units)}`);
    return `From below: ${each.join('; ')}. Each ${showSize(width, height, units)}, laid down without air.`;
  },
};

export const roll: StepView<PatternStepOf<'roll'>> = {
  word: 'Roll',
  group: 'sheet',
  title: ({ to }, units) => `Roll to ${showLength(to, units, true)}`,
  first: (now) => ({ id: newId(), do: 'roll', to: tenth((now?.thick ?? 4) / 2), along: 'width' }),
  Fields: (of) => (
    <>
      Rolled to <Thickness of={of} label="Rolled to" field="to" />,{' '}
      <OneOf of={of} label="It grows" field="along" options={ALONG} />
    </>
  ),
  line: ({ to }, { own, units, after }) =>
    `Down to ${wordsOfSheet(to, own, units)}, a setting at a time; four layers that are too thick go through two at ` +
    `a time. It is ${showSize(after.width, after.height, units)} then, and paler by as much.`,
};

export const pile: StepView<PatternStepOf<'pile'>> = {
  word: 'Cut and stack',
  group: 'layers',
  title: ({ pieces }) => `Cut in ${pieces}, stacked`,
  first: () => ({ id: newId(), do: 'pile', pieces: 2, across: 'width' }),
  Fields: (of) => (
    <>
      Cut in <Whole of={of} label="Pieces to stack" field="pieces" low={2} high={24} />{' '}
      <OneOf of={of} label="Cut" field="across" options={ACROSS} />, and stacked
    </>
  ),
  line: ({ pieces }, { after, units }) =>
    `Cut it in ${pieces} and stack them, all the same way up: ${showSize(after.width, after.height, units)}, ` +
    `${showLength(after.thick, units)} thick.`,
};

export const fan: StepView<PatternStepOf<'fan'>> = {
  word: 'Fold like a fan',
  group: 'layers',
  title: ({ layers }) => `Fan, ${layers} deep`,
  first: () => ({ id: newId(), do: 'fan', layers: 4, across: 'width' }),
  Fields: (of) => (
    <>
      Folded to and fro, <Whole of={of} label="Layers of the fan" field="layers" low={2} high={24} /> deep,{' '}
      <OneOf of={of} label="Folded" field="across" options={ACROSS} />
    </>
  ),
  line: ({ layers }, { after, units }) =>
    `Fold it to and fro, ${layers} deep, without air in the folds: ${showSize(after.width, after.height, units)}, ` +
    `${showLength(after.thick, units)} thick.`,
};

export const knead: StepView<PatternStepOf<'knead'>> = {
  word: 'Fold and roll on',
  group: 'layers',
  title: ({ times: n }) => `Fold and roll, ${times(n)}`,
  first: () => ({ id: newId(), do: 'knead', times: 2, across: 'width', turned: true }),
  Fields: (of) => (
    <>
      Rolled to half its thickness and folded in half,{' '}
      <Whole of={of} label="Times folded and rolled" field="times" low={1} high={12} /> times,{' '}
      <OneOf of={of} label="Folded" field="across" options={ACROSS} />,{' '}
      <YesNo of={of} label="Turned between" field="turned" yes="a quarter turn between" no="always the same way" />
    </>
  ),
  line: ({ turned }) =>
    `Roll it to half its thickness, fold it in half, press it flat${turned ? ', turn it by a quarter' : ''}. ` +
    'Count each fold, and look at it each time.',
  counted: ({ times: about }) => ({ about, each: 'fold' }),
};

export const over: StepView<PatternStepOf<'over'>> = {
  word: 'Turn over',
  group: 'layers',
  title: () => 'Turn over',
  first: () => ({ id: newId(), do: 'over' }),
  Fields: () => <>What was at the bottom lies on top</>,
  line: () => 'Lift it with the blade and turn it over.',
};

export const quarter: StepView<PatternStepOf<'quarter'>> = {
  word: 'Quarter turn',
  group: 'layers',
  title: ({ turns }) => (turns === '1' ? 'Quarter turn' : `${turns} quarter turns`),
  first: () => ({ id: newId(), do: 'quarter', turns: '1' }),
  Fields: (of) => (
    <>
      Turned counterclockwise by{' '}
      <OneOf
        of={of}
        label="Turned by"
        field="turns"
        options={[
          { value: '1', text: 'a quarter' },
          { value: '2', text: 'a half' },
          { value: '3', text: 'three quarters' },
        ]}
      />
    </>
  ),
  line: ({ turns }) => `Turn it counterclockwise by ${turns} ${turns === '1' ? 'quarter' : 'quarters'}.`,
};

export const trim: StepView<PatternStepOf<'trim'>> = {
  word: 'Trim',
  group: 'layers',
  title: ({ edge }, units) => `Trim ${showLength(edge, units)}`,
  first: () => ({ id: newId(), do: 'trim', edge: 3 }),
  Fields: (of) => (
    <>
      <Length of={of} label="Trimmed all around" field="edge" /> cut off all around
    </>
  ),
  line: ({ edge }, { after, units }) =>
    `Cut ${showLength(edge, units)} off all around: ${showSize(after.width, after.height, units)} are left.`,
};

export const press: StepView<PatternStepOf<'press'>> = {
  word: 'Press together',
  group: 'layers',
  title: ({ percent }) => `Press ${percent} %`,
  first: () => ({ id: newId(), do: 'press', percent: 5 }),
  Fields: (of) => (
    <>
      Pressed together from all sides by{' '}
      <Whole of={of} label="Percent pressed together" field="percent" low={0} high={60} /> %; what is open closes
    </>
  ),
  line: (_, { after, units }) =>
    `Press it together from all sides until nothing is open: ${showSize(after.width, after.height, units)}, ` +
    `${showLength(after.thick, units)} thick.`,
};
