import { Box } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { showMass } from '#core/units';
import type { ConditionedDto, ShelfAnswer, WrittenDto } from '#contract';
import { CountValue } from '../../parts/Value.js';
import { WriteDown, type Written } from '../../parts/WriteDown.js';
import { useUnits } from '../../state/view.js';
import { change, useRefusal } from '../../wire/save.js';
import { MOST_PASSES } from './conditioning.js';

interface ConditionedProps {
  readonly shelf: ShelfAnswer;
  readonly dto: Omit<ConditionedDto, keyof WrittenDto | 'passes'>;
  readonly counted: number;
  readonly onBack: () => void;
  readonly onDone: (entryId: string) => void;
}

/** What it really took, for the diary and the next plan. */
export function Conditioned({ shelf, dto, counted, onBack, onDone }: ConditionedProps): ReactElement {
  const units = useUnits();
  const [passes, setPasses] = useState(counted);
  const refusal = useRefusal('/api/conditioned');
  const write = async (written: Written): Promise<void> => {
    const answer = await change<{ entryId: string }>('POST', '/api/conditioned', {
      ...dto,
      passes,
      ...written,
    } satisfies ConditionedDto);
    if (answer) onDone(answer.entryId);
  };
  return (
    <WriteDown
      refusal={refusal}
      onBack={onBack}
      onWrite={(written) => {
        void write(written);
      }}
      disabled={passes < 1}
    >
      <Box fontSize="22px">
        {showMass(dto.grams, units)} {shelf.clays.find((c) => c.id === dto.clayId)?.name}
        {' folded without a crack after '}
        <CountValue
          label="Passes it took"
          value={passes}
          onChange={(n) => {
            if (Number.isInteger(n) && n > 0 && n <= MOST_PASSES) setPasses(n);
          }}
        />{' '}
        passes. The next plan goes by that; the clay stays on the shelf until you use it.
      </Box>
    </WriteDown>
  );
}
