import type { PatternStepOf } from '#core/pattern';
import { showLength } from '#core/units';
import { LengthValue, Value } from '../../../parts/Value.js';
import { readNumber } from '#core/units';
import { Of } from '../../canes/steps/Of.js';
import { Again, Length, Plain, Rows, Thickness, Whole, newId, set, tenth } from './fields.js';
import type { PlainBody } from '../../../workers/pattern.js';
import type { StepView } from './view.js';
import { timesWords, wordsOfSheet } from './words.js';

const MOST_OF = 24;

export const logs: StepView<PatternStepOf<'logs'>> = {
  word: 'Rope of logs',
  group: null,
  title: ({ logs: all }) => `${all.length} logs`,
  first: (_, { light, strong, dark }) => ({
    id: newId(),
    do: 'logs',
    length: 100,
    logs: [strong, light, dark].map((of) => ({ of, diameter: 10 })),
  }),
  Fields: (of) => (
    <>
      Logs <Length of={of} label="Length of the logs" field="length" /> long, laid together
      <Rows
        all={of.step.logs}
        most={MOST_OF}
        word="log"
        onChange={(all) => {
          set(of, { logs: all });
        }}
      >
        {(log, i, put) => (
          <>
            <Of
              of={log.of}
              materials={of.materials}
              label={`Log ${i + 1}`}
              onPick={(key) => {
                put({ ...log, of: key });
              }}
            />
            ,{' '}
            <LengthValue
              label={`Width of log ${i + 1}`}
              value={log.diameter}
              onChange={(diameter) => {
                put({ ...log, diameter });
              }}
            />{' '}
            across
          </>
        )}
      </Rows>
    </>
  ),
  line: ({ logs: all, length }, { name, units }) =>
    `Roll logs ${showLength(length, units)} long: ` +
    `${all.map((l) => `${name(l.of)} ${showLength(l.diameter, units)} across`).join(', ')}. Lay them together and ` +
    'press them round.',
};

export const chop: StepView<PatternStepOf<'chop'>> = {
  word: 'Chopped log',
  group: null,
  title: ({ edge }, units) => `Chopped, ${showLength(edge, units)}`,
  first: (_, { light, strong }) => ({
    ...{ id: newId(), do: 'chop', edge: 5, diameter: 30, length: 50, seed: 1 },
    bits: [
      { of: light, parts: 3 },
      { of: strong, parts: 1 },
    ],
  }),
  Fields: (of) => (
    <>
      Bits of <Length of={of} label="Edge of the bits" field="edge" />, mixed and pressed to a log{' '}
      <Length of={of} label="Width of the log" field="diameter" /> across and{' '}
      <Length of={of} label="Length of the log" field="length" /> long · <Again of={of} />
      <Rows
        all={of.step.bits}
        most={MOST_OF}
        word="colour"
        onChange={(bits) => {
          set(of, { bits });
        }}
      >
        {(bit, i, put) => (
          <>
            <Value
              label={`Parts of colour ${i + 1}`}
              text={String(bit.parts)}
              read={(text) => readNumber(text).valueOf()}
              onChange={(parts) => {
                put({ ...bit, parts });
              }}
            />{' '}
            {bit.parts === 1 ? 'part' : 'parts'} of{' '}
            <Of
              of={bit.of}
              materials={of.materials}
              label={`Colour ${i + 1}`}
              onPick={(key) => {
                put({ ...bit, of: key });
              }}
            />
          </>
        )}
      </Rows>
    </>
  ),
  line: ({ bits, edge, diameter }, { name, units, after }) =>
    `Chop to bits of ${showLength(edge, units)}: ${bits.map((b) => `${b.parts} of ${name(b.of)}`).join(', ')}. Mix ` +
    `them by hand, and press them to a log ${showLength(diameter, units)} across, ` +
    `${showLength(after.thick, units)} long.`,
};

export const twist: StepView<PatternStepOf<'twist'>> = {
  word: 'Twist',
  group: 'rope',
  title: ({ turns }) => `Twist ${turns}`,
  first: () => ({ id: newId(), do: 'twist', turns: 4 }),
  Fields: (of) => (
    <>
      Twisted by <Plain of={of} label="Turns" field="turns" /> turns from one end to the other
    </>
  ),
  line: ({ turns }) => `Hold one end and twist the other by ${turns} turns, evenly along the whole rope.`,
};

export const reduce: StepView<PatternStepOf<'reduce'>> = {
  word: 'Roll thinner',
  group: 'rope',
  title: ({ to }, units) => `Roll to ${showLength(to, units)}`,
  first: (now) => ({ id: newId(), do: 'reduce', to: tenth((now?.width ?? 20) * 0.7) }),
  Fields: (of) => (
    <>
      Rolled out to <Length of={of} label="Rolled out to" field="to" /> across
    </>
  ),
  line: ({ to }, { units, after }) =>
    `Roll it out evenly to ${showLength(to, units)} across: ${showLength(after.thick, units)} long.`,
};

export const fold: StepView<PatternStepOf<'fold'>> = {
  word: 'Fold in half',
  group: 'rope',
  title: ({ times }) => (times === 0 ? 'Not folded yet' : `Fold ${timesWords(times)}`),
  first: () => ({ id: newId(), do: 'fold', times: 3, turns: 3 }),
  Fields: (of) => (
    <>
      Twisted by <Plain of={of} label="Turns before each fold" field="turns" /> turns, rolled out to twice its length
      and folded in half, <Whole of={of} label="Folds" field="times" low={0} high={12} /> times
    </>
  ),
  line: ({ times, turns }, { units, after }) =>
    `Twist ${turns} turns, roll out to ${showLength(2 * after.thick, units)}, fold in half and roll round again: ` +
    `${timesWords(times)}. Look at the cut end each time.`,
  counted: ({ times }) => (times > 0 ? { about: times, each: 'fold' } : null),
};

/** How thick a coil is, as a share of the rope; a short rope has to stand higher to go around. */
const [FLATTENED, AROUND] = [0.8, 6];

function coilThick(now: PlainBody | null): number {
  const { width, thick: long } = now ?? { width: 14, thick: 240 };
  return tenth(Math.max(width * FLATTENED, (AROUND * width * width) / long));
}

export const coil: StepView<PatternStepOf<'coil'>> = {
  word: 'Coil',
  group: 'rope',
  title: ({ to }, units) => `Coil, ${showLength(to, units)} thick`,
  first: (now) => ({ id: newId(), do: 'coil', to: coilThick(now) }),
  Fields: (of) => (
    <>
      Coiled to a disc and flattened to <Length of={of} label="Flattened to" field="to" />
    </>
  ),
  line: ({ to }, { units, before, after }) =>
    `Coil all ${showLength(before?.thick ?? 0, units)} of it tightly, the end drawn out thin, and flatten it ` +
    `to ${showLength(to, units)}: ${showLength(after.width, units)} across.`,
};

export const flatten: StepView<PatternStepOf<'flatten'>> = {
  word: 'Flatten along',
  group: 'rope',
  title: ({ to }, units) => `Flatten to ${showLength(to, units)}`,
  first: (now) => ({ id: newId(), do: 'flatten', to: tenth((now?.width ?? 14) * 0.5) }),
  Fields: (of) => (
    <>
      Flattened along its length to <Thickness of={of} label="Flattened to" field="to" />
    </>
  ),
  line: ({ to }, { own, units, after }) =>
    `Flatten it along its whole length to ${wordsOfSheet(to, own, units)}: a strip ` +
    `${showLength(after.height, units)} wide and ${showLength(after.width, units)} long.`,
};
