import { Box } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { showLength } from '#core/units';
import type { CaneAnswer, CaneDto } from '#contract';
import { Choice } from '../../../parts/Choice.js';
import { useUnits } from '../../../state/view.js';
import { Caption, Word } from '../../../theme/pieces.js';
import type { WorkedCane } from '../../../workers/cane.js';
import { MEANINGS, meaningOf, meantFor, placeOf, stoppedAt, stopWords, type Stop } from '../words/glassWords.js';

interface StopLineProps {
  readonly cane: CaneAnswer;
  readonly worked: WorkedCane | null;
  readonly stop: Stop;
  readonly name: string;
  readonly onChange: (part: Partial<CaneDto>) => void;
}

/** Where the walls begin to bleed, and the way to stop there. */
function StopLine({ cane, worked, stop, name, onChange }: StopLineProps): ReactElement {
  const units = useUnits();
  const { program } = cane;
  const before = program.steps.map((_, i) => worked?.steps[i - 1]?.across ?? 0);
  const stopped = placeOf(stop) === 'on' ? null : stoppedAt(program.steps, stop.at, before);
  return (
    <Box fontSize="small">
      {stopWords(stop, name, units)}
      {stopped && (
        <>
          {' '}
          <Word
            onClick={() => {
              onChange({ program: { ...program, steps: stopped } });
            }}
          >
            Stop at {showLength(stop.at, units)}
          </Word>
        </>
      )}
    </Box>
  );
}

interface GlassLineProps extends Omit<StopLineProps, 'stop' | 'name'> {
  /** of a cane of glass, once it is worked out */
  readonly stop: Stop | null;
  readonly name: (key: string) => string;
}

/** What the slices are meant for; of glass also where to stop. */
export function GlassLine({ stop, name, ...own }: GlassLineProps): ReactElement {
  const { cane, onChange } = own;
  const meaning = meaningOf(cane.program);
  return (
    <Box>
      <Caption>slices are meant </Caption>
      <Choice
        label="What the slices are meant for"
        value={meaning}
        options={MEANINGS}
        onChange={(next) => {
          onChange({ program: meantFor(cane.program, next) });
        }}
      />
      {stop && <StopLine {...own} stop={stop} name={name(stop.material)} />}
      {meaning === 'glass' && !stop && (
        <Caption display="block">There are no walls between panes in it: nothing bleeds.</Caption>
      )}
    </Box>
  );
}
