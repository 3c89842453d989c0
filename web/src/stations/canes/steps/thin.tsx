import { benchMachine } from '../../../state/bench.js';
import { Box } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import type { StepOf } from '#core/cane';
import { showLength } from '#core/units';
import { ThicknessValue } from '../../../parts/Thickness.js';
import { Value } from '../../../parts/Value.js';
import { useUnits } from '../../../state/view.js';
import { Second, Word } from '../../../theme/pieces.js';
import { useMachines } from '../../../wire/queries.js';
import { readPlain, set } from './fields.js';
import { newId, sizeOf, tenth } from './first.js';
import { settingWords } from './sheetWords.js';
import type { EditorProps, StepView } from './view.js';

type Thin = StepOf<'thin'>;

const MOST_SETTINGS = 12;
/** Rollers halve a stack at most: so thin is the next setting that is offered. */
const HALF = 0.5;

/** The settings it goes through, one after the other. */
function Through({ of }: { readonly of: EditorProps<Thin> }): ReactElement {
  const units = useUnits();
  const { data } = useMachines();
  const own = data && benchMachine(data);
  const { through } = of.step;
  return (
    <>
      {through.map((mm, i) => (
        <Box key={i}>
          {i === 0 ? 'at' : 'then at'}{' '}
          <ThicknessValue
            label={`Setting ${i + 1} of the stack`}
            value={mm}
            onChange={(next) => {
              set(of, { through: through.map((x, k) => (k === i ? next : x)) });
            }}
          />
          <Second>{settingWords(mm, own, units)}</Second>
          {through.length > 1 && (
            <>
              {' '}
              ·{' '}
              <Word
                aria-label={`Take setting ${i + 1} out`}
                onClick={() => {
                  set(of, { through: through.filter((_, k) => k !== i) });
                }}
              >
                out
              </Word>
            </>
          )}
        </Box>
      ))}
      {through.length < MOST_SETTINGS && (
        <Word
          fontSize="small"
          onClick={() => {
            set(of, { through: [...through, tenth((through.at(-1) ?? 1) * HALF)] });
          }}
        >
          another setting
        </Word>
      )}
    </>
  );
}

function Fields(of: EditorProps<Thin>): ReactElement {
  return (
    <>
      the stack through the machine, fed along the cane:
      <Through of={of} />
      <Box>
        It grows longer and{' '}
        <Value
          label="How many times as wide, as measured"
          text={String(of.step.wider ?? 1)}
          read={readPlain}
          onChange={(wider) => {
            if (wider >= 1 && wider <= 4) set(of, { wider });
          }}
        />{' '}
        times as wide <Second>(1: not measured yet, all of it goes into the length)</Second>
      </Box>
    </>
  );
}

export const thin: StepView<Thin> = {
  word: 'Roll the stack',
  group: 'shape',
  title: ({ through }, units) => `Roll the stack to ${showLength(through.at(-1) ?? 0, units, true)}`,
  first: (now) => ({ id: newId(), do: 'thin', through: [tenth(sizeOf(now).height * HALF)] }),
  Fields,
  line: ({ through }, { units, own }) => {
    const settings = through
      .map((mm) => `${showLength(mm, units, true)}${settingWords(mm, own, units)}`)
      .join(', then ');
    return `Roll it through the machine at ${settings}, always fed the same way, the longer side first.`;
  },
};
