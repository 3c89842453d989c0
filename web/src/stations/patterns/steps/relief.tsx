import { SCHOOLS, type PatternStepOf } from '#core/pattern';
import { TEXTURES } from '#core/mica';
import { showLength } from '#core/units';
import { Word } from '../../../theme/pieces.js';
import { Length, OneOf, newId, tenth } from './fields.js';
import type { StepView } from './view.js';

type PressRelief = PatternStepOf<'relief'>;
type Skim = PatternStepOf<'skim'>;

const wordOf = ({ drawn, texture }: PressRelief): string => (drawn ? 'a picture' : texture);

export const relief: StepView<PressRelief> = {
  word: 'Press a relief in',
  group: 'mark',
  title: (step) => `Press ${wordOf(step)} in`,
  first: (now) => ({
    ...{ id: newId(), do: 'relief', texture: 'reed', pitch: 6 },
    depth: tenth((now?.thick ?? 3) / 3),
  }),
  Fields: (of) => (
    <>
      {of.step.drawn ? (
        <>
          A picture is pressed in{' '}
          <Word
            fontSize="small"
            onClick={() => {
              const { drawn: _, ...plain } = of.step;
              of.onChange(plain);
            }}
          >
            a texture instead
          </Word>
        </>
      ) : (
        <>
          Pressed in:{' '}
          <OneOf
            of={of}
            label="What is pressed in"
            field="texture"
            options={TEXTURES.map((value) => ({ value, text: value }))}
          />
          , <Length of={of} label="From one rise to the next" field="pitch" /> from one rise to the next
        </>
      )}
      , <Length of={of} label="Depth of the relief" field="depth" /> deep
    </>
  ),
  line: (step, { units }) =>
    'Wet the stamp and lay the sheet on it, best side down. ' +
    `Press ${wordOf(step)} in, ${showLength(step.depth, units)} deep: ` +
    ' with the fingers first, from the middle out, then with the roller. Take it off, and dry both.',
  caution: 'A dry stamp sticks and tears the sheet.',
};

const SCHOOL_WORDS: Readonly<Record<Skim['school'], string>> = {
  flat: 'lying flat',
  bent: 'bent over something round',
};
const SCHOOL_LINES: Readonly<Record<Skim['school'], string>> = {
  flat: 'Press the sheet to the tile, and shave it with a bent blade, held almost flat, in shallow cuts',
  bent: 'Lay the sheet over a jar, so that only its highest part meets the blade, and turn it on as you shave',
};

export const skim: StepView<Skim> = {
  word: 'Shave the top off',
  group: 'knife',
  title: ({ off }, units) => `${showLength(off, units, true)} off the top`,
  first: (now) => ({ id: newId(), do: 'skim', off: tenth((now?.thick ?? 3) / 4), school: 'flat' }),
  Fields: (of) => (
    <>
      <Length of={of} label="What is shaved off" field="off" /> shaved off the top,{' '}
      <OneOf
        of={of}
        label="How it lies"
        field="school"
        options={SCHOOLS.map((value) => ({ value, text: SCHOOL_WORDS[value] }))}
      />
    </>
  ),
  line: ({ off, school }, { units, after }) =>
    `${SCHOOL_LINES[school]}: ${showLength(off, units, true)} off the highest places, the shallowest first. ` +
    `${showLength(after.thick, units, true)} is left. Keep the shavings by their colour.`,
  caution: 'Stop as soon as it is flat: below the valleys the picture thins out.',
};
