import { Box } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { COVERS, areaWanted, type PatternWanted } from '#core/pattern';
import { showArea } from '#core/units';
import type { PatternAnswer, PatternDto } from '#contract';
import { Choice } from '../../parts/Choice.js';
import { readCount } from '../../parts/readCount.js';
import { LengthValue, Value } from '../../parts/Value.js';
import { useUnits } from '../../state/view.js';
import { Caption, Word } from '../../theme/pieces.js';
import type { PatternToMake } from '../../workers/pattern.js';

const COVER_WORDS: Readonly<Record<(typeof COVERS)[number], string>> = {
  sheet: 'a sheet or a lid',
  frame: 'a frame',
  tube: 'a tube',
};
const USUAL: PatternWanted = {
  covers: 'sheet',
  width: 60,
  height: 60,
  innerWidth: 0,
  innerHeight: 0,
  pieces: 1,
  trimmed: 0.12,
};

interface WantedProps {
  readonly pattern: PatternAnswer;
  readonly plan: PatternToMake;
  /** more of it is one larger make; otherwise it is made again */
  readonly grows: boolean;
  readonly onChange: (part: Partial<PatternDto>) => void;
}

/** What is to be covered: all that is rolled follows from it. */
export function Wanted({ pattern, plan, grows, onChange }: WantedProps): ReactElement {
  const units = useUnits();
  const { wanted } = pattern;
  if (!wanted)
    return (
      <Word
        fontSize="small"
        onClick={() => {
          onChange({ wanted: USUAL });
        }}
      >
        it is for something of a size
      </Word>
    );
  const set = (part: Partial<PatternWanted>): void => {
    onChange({ wanted: { ...wanted, ...part } });
  };
  return (
    <Box fontSize="small" lineHeight={1.7} marginTop={2}>
      <Sizes wanted={wanted} onSet={set} />
      <Caption display="block">
        that takes {showArea(areaWanted(wanted), units)}, trimmed too
        {grows ? ': larger sheets or longer logs, the same grain' : `: made ${plan.makes} times, the same grain`}. Twice
        as wide and as long takes four times the clay.
      </Caption>
      <Word
        onClick={() => {
          onChange({ wanted: null });
        }}
      >
        as much as the steps make
      </Word>
    </Box>
  );
}

/** How many of what, and how large. */
function Sizes({
  wanted,
  onSet,
}: {
  readonly wanted: PatternWanted;
  readonly onSet: (part: Partial<PatternWanted>) => void;
}) {
  const { covers, width, height, innerWidth, innerHeight, pieces, trimmed } = wanted;
  const length = (label: string, value: number, field: keyof PatternWanted): ReactElement => (
    <LengthValue
      label={label}
      value={value}
      onChange={(mm) => {
        onSet({ [field]: mm });
      }}
    />
  );
  return (
    <>
      For{' '}
      <Value
        label="How many are covered"
        text={String(pieces)}
        read={readCount(1, 500, 'The number of pieces')}
        onChange={(n) => {
          onSet({ pieces: n });
        }}
      />{' '}
      times{' '}
      <Choice
        label="What is covered"
        value={covers}
        options={COVERS.map((value) => ({ value, text: COVER_WORDS[value] }))}
        onChange={(next) => {
          const opening = next === 'frame' ? 0.5 : 0;
          onSet({ covers: next, innerWidth: width * opening, innerHeight: height * opening });
        }}
      />
      , {length(covers === 'tube' ? 'Width of the tube' : 'Width covered', width, 'width')} by{' '}
      {length('Length covered', height, 'height')}
      {covers === 'frame' && (
        <>
          , its opening {length('Width of the opening', innerWidth, 'innerWidth')} by{' '}
          {length('Length of the opening', innerHeight, 'innerHeight')}
        </>
      )}
      ;{' '}
      <Value
        label="Percent trimmed"
        text={String(Math.round(100 * trimmed))}
        read={readCount(0, 90, 'What is trimmed')}
        onChange={(n) => {
          onSet({ trimmed: n / 100 });
        }}
      />{' '}
      % is trimmed off
    </>
  );
}
