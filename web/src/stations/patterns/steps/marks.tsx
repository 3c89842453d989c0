import { Box } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { SHAPES } from '#core/cane';
import { BLADES, LAID, type Ball, type DentPlace, type PatternStepOf } from '#core/pattern';
import { showLength, type UnitSystem } from '#core/units';
import { Choice } from '../../../parts/Choice.js';
import { LengthValue } from '../../../parts/Value.js';
import { Caption, Word } from '../../../theme/pieces.js';
import { Again, Clay, Degrees, Length, OneOf, Plain, Rows, Whole, newId, set } from './fields.js';
import type { EditorProps, StepView } from './view.js';

const LAID_WORDS: Readonly<Record<(typeof LAID)[number], string>> = {
  rows: 'in rows',
  rosettes: 'in rosettes',
  scattered: 'scattered',
  'by hand': 'where I put them',
};
const BLADE_WORDS: Readonly<Record<(typeof BLADES)[number], string>> = {
  lines: 'lines',
  'crossed lines': 'lines both ways',
  waves: 'waves',
  rings: 'rings',
  shapes: 'a cutter',
};
const MOST_BALLS = 6;

type Dents = PatternStepOf<'dents'>;

/** The balls that are pressed in, from large to small. */
function Balls({ of }: { readonly of: EditorProps<Dents> }): ReactElement {
  return (
    <Rows<Ball>
      all={of.step.balls}
      most={MOST_BALLS}
      word="ball"
      onChange={(balls) => {
        set(of, { balls });
      }}
    >
      {(ball, i, put) => (
        <>
          a ball{' '}
          <LengthValue
            label={`Ball ${i + 1} across`}
            value={ball.diameter}
            onChange={(diameter) => {
              put({ ...ball, diameter });
            }}
          />{' '}
          across,{' '}
          <LengthValue
            label={`Depth of ball ${i + 1}`}
            value={ball.depth}
            onChange={(depth) => {
              put({ ...ball, depth });
            }}
          />{' '}
          deep
        </>
      )}
    </Rows>
  );
}

/** What was put there by hand, and taking the last one back. */
function ByHand({ of }: { readonly of: EditorProps<Dents> }): ReactElement {
  const places: readonly DentPlace[] = of.step.places ?? [];
  return (
    <Box>
      <Caption>
        {places.length === 0
          ? 'Click on the block from above, or put the first one in its middle.'
          : `${places.length} put there: drag them, or arrow keys (shift: farther), B another ball, Delete away.`}
      </Caption>{' '}
      <Word
        fontSize="small"
        onClick={() => {
          set(of, { places: [...places, { x: 0, y: 0, ball: places.at(-1)?.ball ?? 0 }] });
        }}
      >
        {places.length === 0 ? 'put one in the middle' : 'one more'}
      </Word>{' '}
      {places.length > 0 && (
        <Word
          fontSize="small"
          onClick={() => {
            set(of, { places: places.slice(0, -1) });
          }}
        >
          take the last one back
        </Word>
      )}
    </Box>
  );
}

const countOf = ({ laid, number, around, balls, places }: Dents): number => {
  if (laid === 'by hand') return places?.length ?? 0;
  return laid === 'rosettes' ? number * (1 + around) : number * balls.length;
};

const ballWords = (balls: readonly Ball[], units: UnitSystem): string =>
  balls.map((b) => `${showLength(b.diameter, units)} ball, ${showLength(b.depth, units)} deep`).join('; ');

export const dents: StepView<Dents> = {
  word: 'Dent with balls',
  group: 'mark',
  title: (step) => `${countOf(step)} dents`,
  first: (now) => {
    const deep = Math.max(0.5, Math.round((now?.thick ?? 6) * 5) / 10);
    return {
      id: newId(),
      do: 'dents',
      balls: [{ diameter: 2 * deep, depth: deep }],
      laid: 'scattered',
      number: 20,
      around: 6,
      seed: 1,
    };
  },
  Fields: (of) => (
    <>
      Dented{' '}
      <OneOf
        of={of}
        label="How dents lie"
        field="laid"
        options={LAID.map((value) => ({ value, text: LAID_WORDS[value] }))}
      />
      {of.step.laid === 'by hand' ? (
        <ByHand of={of} />
      ) : (
        <>
          , <Whole of={of} label="How many" field="number" low={0} high={2000} />
          {of.step.laid === 'rosettes' ? (
            <>
              {' '}
              rosettes of one with <Whole of={of} label="Around each" field="around" low={1} high={24} /> around it
            </>
          ) : (
            ' of each ball'
          )}
          {of.step.laid !== 'rows' && (
            <>
              {' '}
              · <Again of={of} />
            </>
          )}
        </>
      )}
      <Balls of={of} />
    </>
  ),
  line: (step, { units }) =>
    `${countOf(step)} dents ${LAID_WORDS[step.laid]}, from large to small: ${ballWords(step.balls, units)}. What was ` +
    'on top lies at the bottom of each dent.',
};

type Cuts = PatternStepOf<'cuts'>;

export const cuts: StepView<Cuts> = {
  word: 'Cut and poke',
  group: 'mark',
  title: ({ blade, number }) => `${number} cuts: ${BLADE_WORDS[blade]}`,
  first: (now) => ({
    id: newId(),
    do: 'cuts',
    blade: 'waves',
    number: 6,
    depth: Math.max(0.5, Math.round((now?.thick ?? 6) * 8) / 10),
    degrees: 30,
    size: 3,
    seed: 1,
  }),
  Fields: (of) => (
    <>
      <Whole of={of} label="How many cuts" field="number" low={0} high={300} /> cuts,{' '}
      <OneOf
        of={of}
        label="What is cut"
        field="blade"
        options={BLADES.map((value) => ({ value, text: BLADE_WORDS[value] }))}
      />
      , <Length of={of} label="How deep" field="depth" /> deep
      <Where of={of} />
    </>
  ),
  line: ({ blade, number, depth, size }, { units, before }) =>
    `${number} cuts, ${BLADE_WORDS[blade]}${sizeWords(blade, size, units)}, ` +
    `${depth >= (before?.thick ?? Infinity) - 0.01 ? 'right through' : `${showLength(depth, units)} deep`}. ` +
    'The blade draws the layers down with it.',
};

const sizeWords = (blade: Cuts['blade'], size: number, units: UnitSystem): string => {
  if (blade === 'rings' || blade === 'shapes') return ` ${showLength(size, units)} across`;
  return blade === 'waves' ? ` ${showLength(size, units)} to each side` : '';
};

/** Where cuts go: an angle of lines, a size of the rest. */
function Where({ of }: { readonly of: EditorProps<Cuts> }): ReactElement {
  const { blade } = of.step;
  if (blade === 'rings' || blade === 'shapes')
    return (
      <>
        , <Length of={of} label="Across each" field="size" /> across
        {blade === 'shapes' && (
          <>
            , a{' '}
            <Choice
              label="Shape of the cutter"
              value={of.step.shape ?? 'teardrop'}
              options={SHAPES.filter((s) => s !== 'drawn').map((value) => ({ value, text: value }))}
              onChange={(shape) => {
                set(of, { shape });
              }}
            />
          </>
        )}{' '}
        · <Again of={of} />
      </>
    );
  return (
    <>
      {blade === 'waves' && (
        <>
          , swinging <Length of={of} label="To each side" field="size" />
        </>
      )}
      , at <Degrees of={of} label="Direction of the cuts" field="degrees" />
    </>
  );
}

export const specks: StepView<PatternStepOf<'specks'>> = {
  word: 'Work in specks',
  group: 'mark',
  title: ({ diameter }, units) => `Specks of ${showLength(diameter, units)}`,
  first: (_, { dark }) => ({ id: newId(), do: 'specks', of: dark, diameter: 1, perCm3: 30 }),
  Fields: (of) => (
    <>
      Specks of <Clay of={of} label="What the specks are of" />,{' '}
      <Length of={of} label="Across a speck" field="diameter" /> across,{' '}
      <Plain of={of} label="Specks in a cubic centimetre" field="perCm3" /> in a cubic centimetre
    </>
  ),
  line: ({ of, diameter, perCm3 }, { name, units }) =>
    `Work in specks of ${name(of)}, ${showLength(diameter, units)} across, about ${perCm3} in a cubic centimetre: ` +
    'they keep their size whatever is done to the clay.',
};
