import { Box } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import {
  INLAID,
  MOST_SLICE_KINDS,
  SLAB_LAID,
  TURNED,
  grownBy,
  type PatternStep,
  type PatternStepOf,
  type SliceOf,
  type SlicesTurned,
} from '#core/pattern';
import { showLength, showSize } from '#core/units';
import { ThicknessValue } from '../../../parts/Thickness.js';
import { readCount } from '../../../parts/readCount.js';
import { Value } from '../../../parts/Value.js';
import { Caption, Word } from '../../../theme/pieces.js';
import { Of } from '../../canes/steps/Of.js';
import { Again, OneOf, Rows, Thickness, Whole, newId, set, tenth } from './fields.js';
import type { EditorProps, StepView } from './view.js';
import { wordsOfSheet } from './words.js';

type Slab = PatternStepOf<'slab'>;
type Inlay = PatternStepOf<'inlay'>;

const MOST_ACROSS = 60;
const ALONG = [
  { value: 'both', text: 'turned between passes, both ways' },
  { value: 'width', text: 'fed along its width' },
  { value: 'length', text: 'fed along its length' },
] as const;
const LAID_WORDS: Readonly<Record<(typeof SLAB_LAID)[number], string>> = {
  rows: 'in rows',
  offset: 'in rows, every other one shifted',
  chance: 'as they come',
};
const INLAID_WORDS: Readonly<Record<(typeof INLAID)[number], string>> = {
  rows: 'in rows',
  offset: 'in rows, every other one shifted',
  ring: 'in a ring',
  scattered: 'scattered',
  'by hand': 'where I put them',
};
const TURNED_WORDS: Readonly<Record<SlicesTurned, string>> = {
  alike: 'all the same way',
  opposite: 'every other one upside down',
  chance: 'turned as they come',
};
const TURNS = TURNED.map((value) => ({ value, text: TURNED_WORDS[value] }));

/** Degrees that a kind of slice is turned by. */
const readTurn = readCount(0, 359, 'The turn');

/** The kinds of slices: of which cane, how thick, and how they lie. */
function Kinds<S extends PatternStep & { readonly slices: readonly SliceOf[] }>({
  of,
}: {
  readonly of: EditorProps<S>;
}): ReactElement {
  return (
    <Rows<SliceOf>
      all={of.step.slices}
      most={MOST_SLICE_KINDS}
      word="cane"
      onChange={(slices) => {
        of.onChange({ ...of.step, slices });
      }}
    >
      {(slice, i, put) => (
        <>
          <Of
            place="slices"
            of={slice.of}
            materials={of.materials}
            label={`Cane ${i + 1}`}
            onPick={(key) => {
              put({ ...slice, of: key });
            }}
          />
          , slices of{' '}
          <ThicknessValue
            label={`Thickness of the slices of cane ${i + 1}`}
            value={slice.thickness}
            onChange={(thickness) => {
              put({ ...slice, thickness });
            }}
          />
          , turned{' '}
          <Value
            label={`Turn of the slices of cane ${i + 1}`}
            text={String(slice.degrees)}
            read={readTurn}
            onChange={(degrees) => {
              put({ ...slice, degrees });
            }}
          />
          °
        </>
      )}
    </Rows>
  );
}

const kindsWords = (slices: readonly SliceOf[], name: (key: string) => string): string =>
  [...new Set(slices.map(({ of }) => name(of)))].join(', ');

export const slab: StepView<Slab> = {
  word: 'Slices edge to edge',
  group: null,
  title: ({ columns, rows }) => `${columns} × ${rows} slices, edge to edge`,
  first: (_, { cane = '' }) => ({
    ...{ id: newId(), do: 'slab', columns: 5, rows: 4, laid: 'offset', turned: 'alike', seed: 1 },
    slices: [{ of: cane, thickness: 1.5, degrees: 0 }],
  }),
  Fields: (of) => (
    <>
      <Kinds of={of} />
      <Box>
        <Whole of={of} label="Columns" field="columns" low={1} high={MOST_ACROSS} /> by{' '}
        <Whole of={of} label="Rows" field="rows" low={1} high={MOST_ACROSS} />,{' '}
        <OneOf
          of={of}
          label="How they lie"
          field="laid"
          options={SLAB_LAID.map((value) => ({ value, text: LAID_WORDS[value] }))}
        />
        , <OneOf of={of} label="How they are turned" field="turned" options={TURNS} />
        {of.step.laid === 'chance' && (
          <>
            {' '}
            <Again of={of} />
          </>
        )}
      </Box>
      <Caption>Pressed until no gap is left, as thick as the thinnest of them; thicker ones grow the more.</Caption>
    </>
  ),
  line: ({ slices, columns, rows }, { name, own, units, after }) =>
    `${columns * rows} slices of ${kindsWords(slices, name)}, laid edge to edge like a puzzle on paper. Push the ` +
    'seams together with the flat of the blade, lay paper on them and rub until no gap is left: ' +
    `${showSize(after.width, after.height, units)}, ${wordsOfSheet(after.thick, own, units)}. Scratch the date and ` +
    'the setting into its margin.',
  caution: 'A cane that has rested a day is cut without smearing its face.',
};

/** How much a slice grows when it is rolled in. */
function Grows({ of }: { readonly of: EditorProps<Inlay> }): ReactElement | null {
  const { now, step } = of;
  const [first] = step.slices;
  if (!now || !first) return null;
  const stacked = now.thick + first.thickness;
  const [across, along] = grownBy(stacked / Math.min(step.to, stacked), step.along);
  const times = (n: number): string => n.toFixed(2);
  const oval = Math.abs(across / along - 1) > 0.02 ? 'a round one becomes an oval' : 'a round one stays round';
  return (
    <Caption display="block">
      Each becomes {times(across)} times as wide and {times(along)} times as long: {oval}.
    </Caption>
  );
}

/** Putting slices by hand. */
function ByHand({ of }: { readonly of: EditorProps<Inlay> }): ReactElement {
  const places = of.step.places ?? [];
  return (
    <Box>
      <Caption>
        {places.length === 0
          ? 'Click on the sheet from above, or put the first one in its middle.'
          : `${places.length} put there: drag them, or arrow keys (shift: farther), T turns, B another cane, ` +
            'Delete away.'}
      </Caption>{' '}
      <Word
        fontSize="small"
        onClick={() => {
          const last = places.at(-1);
          set(of, { places: [...places, { kind: last?.kind ?? 0, degrees: last?.degrees ?? 0, x: 0, y: 0 }] });
        }}
      >
        {places.length === 0 ? 'put one in the middle' : 'one more'}
      </Word>
    </Box>
  );
}

/** Where they lie: so many by a rule, or by hand. */
function Where({ of }: { readonly of: EditorProps<Inlay> }): ReactElement {
  const { laid } = of.step;
  const byRows = laid === 'rows' || laid === 'offset';
  return (
    <Box>
      They lie{' '}
      <OneOf
        of={of}
        label="How they lie"
        field="laid"
        options={INLAID.map((value) => ({ value, text: INLAID_WORDS[value] }))}
      />
      {laid !== 'by hand' && (
        <>
          , <Whole of={of} label={byRows ? 'Columns' : 'Times'} field="columns" low={1} high={MOST_ACROSS} /> by{' '}
          <Whole of={of} label="Rows" field="rows" low={1} high={MOST_ACROSS} />,{' '}
          <OneOf of={of} label="How they are turned" field="turned" options={TURNS} />
        </>
      )}
      {laid === 'scattered' && (
        <>
          {' '}
          <Again of={of} />
        </>
      )}
    </Box>
  );
}

export const inlay: StepView<Inlay> = {
  word: 'Slices laid on it',
  group: 'sheet',
  title: ({ laid, columns, rows, places = [] }) =>
    `${laid === 'by hand' ? places.length : columns * rows} slices laid on`,
  first: (now, { cane = '' }) => {
    const thick = now?.thick ?? 1.5;
    return {
      ...{ id: newId(), do: 'inlay', laid: 'offset', columns: 4, rows: 3, turned: 'alike', seed: 1, along: 'both' },
      ...{ places: [], to: tenth(Math.min(thick, 1.5)) },
      slices: [{ of: cane, thickness: 1, degrees: 0 }],
    };
  },
  Fields: (of) => (
    <>
      <Kinds of={of} />
      <Where of={of} />
      {of.step.laid === 'by hand' && <ByHand of={of} />}
      <Box>
        Pressed in and rolled to <Thickness of={of} label="Rolled to" field="to" />,{' '}
        <OneOf of={of} label="It grows" field="along" options={ALONG} />
      </Box>
      <Grows of={of} />
    </>
  ),
  line: ({ slices, along, to }, { name, own, units, after, before }) => {
    const turns = along === 'both' ? ', turned by a quarter before each pass' : ', always fed the same way';
    const rolled =
      before && to > before.thick
        ? `press them in until they stand ${showLength(to - before.thick, units)} above it`
        : `roll it a setting at a time to ${wordsOfSheet(to, own, units)}${turns}`;
    return (
      `Lay the slices of ${kindsWords(slices, name)} on the sheet, press each from its middle outwards so that no ` +
      `air stays below, then ${rolled}: ${showSize(after.width, after.height, units)}.`
    );
  },
  caution: 'Where a slice lies the sheet is thicker and grows more than the ground beside it.',
};
