import type { PatternStepOf } from '#core/pattern';
import { showLength, showSize } from '#core/units';
import { Clay, Degrees, Length, Offset, OneOf, Thickness, Whole, YesNo, newId, tenth } from './fields.js';
import type { StepView } from './view.js';
import { wordsOfSheet } from './words.js';

const ALONG = [
  { value: 'width', text: 'along its width' },
  { value: 'length', text: 'along its length' },
  { value: 'both', text: 'both ways, by hand' },
] as const;

export const shave: StepView<PatternStepOf<'shave'>> = {
  word: 'Shave',
  group: 'knife',
  title: ({ number, thickness }, units) => `Shave ${number} × ${showLength(thickness, units)}`,
  first: (now) => {
    const thick = now?.thick ?? 6;
    return { id: newId(), do: 'shave', depth: tenth(thick * 0.2), thickness: tenth(Math.min(1, thick / 6)), number: 3 };
  },
  Fields: (of) => (
    <>
      The knife goes in <Length of={of} label="Depth of the knife" field="depth" /> below the top and takes{' '}
      <Whole of={of} label="Number of shavings" field="number" low={1} high={60} /> shavings of{' '}
      <Thickness of={of} label="Thickness of a shaving" field="thickness" />
    </>
  ),
  line: ({ depth, thickness, number }, { units }) =>
    `Level the top ${showLength(depth, units)} down, then take ${number} shavings of ${showLength(thickness, units)} ` +
    'one below the other, and keep them in their order.',
  caution: 'A long blade bent a little, both hands at its ends, away from the fingers.',
};

export const slice: StepView<PatternStepOf<'slice'>> = {
  word: 'Slice across',
  group: 'knife',
  title: ({ number, thickness }, units) => `${number} slices of ${showLength(thickness, units)}`,
  first: () => ({ id: newId(), do: 'slice', degrees: 90, off: 0, thickness: 1.5, number: 4 }),
  Fields: (of) => (
    <>
      Sliced across the layers at <Degrees of={of} label="Direction of the slices" field="degrees" />, the first{' '}
      <Offset of={of} label="From the middle" field="off" /> from the middle,{' '}
      <Whole of={of} label="Number of slices" field="number" low={1} high={60} /> slices of{' '}
      <Thickness of={of} label="Thickness of a slice" field="thickness" />
    </>
  ),
  line: ({ thickness, number, degrees }, { units, after }) =>
    `Cut upright across the layers, never along them: ${number} slices of ${showLength(thickness, units)}, at ` +
    `${degrees}°. Each is ${showSize(after.width, after.height, units)}.`,
  caution: 'Along the layers a slice shows one colour only.',
};

export const across: StepView<PatternStepOf<'across'>> = {
  word: 'Cut across',
  group: 'rope',
  title: ({ number, thickness }, units) => `${number} slices of ${showLength(thickness, units)}`,
  first: (now) => ({
    ...{ id: newId(), do: 'across', from: tenth((now?.thick ?? 40) * 0.1), thickness: 2 },
    number: Math.max(1, Math.min(12, Math.floor((now?.thick ?? 40) / 3))),
  }),
  Fields: (of) => (
    <>
      From <Length of={of} label="From the end" field="from" /> along it,{' '}
      <Whole of={of} label="Number of slices" field="number" low={1} high={60} /> slices of{' '}
      <Thickness of={of} label="Thickness of a slice" field="thickness" />
    </>
  ),
  line: ({ thickness, number }, { units, after }) =>
    `${number} slices of ${showLength(thickness, units)}, cut straight across; each is ` +
    `${showLength(after.width, units)} across.`,
};

export const lay: StepView<PatternStepOf<'lay'>> = {
  word: 'Lay on a backing',
  group: 'sheet',
  title: ({ columns, rows }) => `${columns} × ${rows} on a backing`,
  first: (now, { dark }) => {
    const count = now?.count ?? 1;
    const columns = Math.max(1, Math.floor(Math.sqrt(count)));
    const rows = Math.max(1, Math.floor(count / columns));
    const thick = (now?.thick ?? 1) + 1.5;
    return {
      ...{ id: newId(), do: 'lay', columns, rows, gap: 0, of: dark, thickness: 1.5, along: 'width' },
      to: tenth(Math.min(thick, 2)),
    };
  },
  Fields: (of) => (
    <>
      <Whole of={of} label="Columns" field="columns" low={1} high={40} /> by{' '}
      <Whole of={of} label="Rows" field="rows" low={1} high={40} /> pieces,{' '}
      <Length of={of} label="Gap between them" field="gap" /> apart, on a backing of{' '}
      <Clay of={of} label="What the backing is of" />,{' '}
      <Thickness of={of} label="Thickness of the backing" field="thickness" />, rolled to{' '}
      <Thickness of={of} label="Rolled to" field="to" />,{' '}
      <OneOf of={of} label="It grows" field="along" options={ALONG} />
    </>
  ),
  line: ({ columns, rows, of, thickness, to }, { name, own, units, after }) =>
    `Backing of ${name(of)}, ${wordsOfSheet(thickness, own, units)}. Lay ${columns} by ${rows} pieces on it, edge to ` +
    `edge, press the seams, and roll to ${wordsOfSheet(to, own, units)}: ` +
    `${showSize(after.width, after.height, units)}.`,
};

export const shingle: StepView<PatternStepOf<'shingle'>> = {
  word: 'Slices overlapping',
  group: 'rope',
  title: ({ columns, rows }) => `${columns} × ${rows} overlapping`,
  first: (now) => ({
    ...{ id: newId(), do: 'shingle', thickness: 1.5, layers: 3, turned: true },
    columns: Math.max(3, Math.min(10, Math.floor((now?.thick ?? 60) / 4.5))),
    rows: 3,
  }),
  Fields: (of) => (
    <>
      Slices of <Thickness of={of} label="Thickness of a slice" field="thickness" />, laid overlapping like tiles of a
      roof, <Whole of={of} label="Columns" field="columns" low={1} high={40} /> by{' '}
      <Whole of={of} label="Rows" field="rows" low={1} high={40} />,{' '}
      <Whole of={of} label="On each other" field="layers" low={1} high={6} /> on each other everywhere,{' '}
      <YesNo of={of} label="Turned" field="turned" yes="each turned by chance" no="all the same way" />
    </>
  ),
  line: ({ thickness, columns, rows, layers }, { units, after }) =>
    `${columns * rows} slices of ${showLength(thickness, units)}, laid overlapping, ${layers} on each other, and ` +
    `pressed: ${showSize(after.width, after.height, units)}, ${showLength(after.thick, units)} thick.`,
};
