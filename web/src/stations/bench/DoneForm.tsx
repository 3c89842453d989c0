import { Box } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import type { BatchAnswer, DoneDto } from '#contract';
import { ClayUsed, useClayUsed } from '../../parts/ClayUsed.js';
import { WriteDown } from '../../parts/WriteDown.js';
import { useShelf } from '../../wire/queries.js';
import { change, useRefusal } from '../../wire/save.js';

/** What really went in, a note, and then the clay comes off the shelf and the diary has it. */
export function DoneForm({
  batch,
  onBack,
  onDone,
}: {
  readonly batch: BatchAnswer;
  readonly onBack: () => void;
  readonly onDone: (entryId: string) => void;
}): ReactElement {
  const shelf = useShelf();
  const path = `/api/batches/${batch.id}/done`;
  const refusal = useRefusal(path);
  const { used, say } = useClayUsed(batch.plan.clays);
  const done = async (madeOn: string, note: string): Promise<void> => {
    const dto: DoneDto = { version: batch.version, entryId: crypto.randomUUID(), madeOn, note, used };
    const answer = await change<{ entryId: string }>('POST', path, dto);
    if (answer) onDone(answer.entryId);
  };
  return (
    <WriteDown
      refusal={refusal}
      onBack={onBack}
      onWrite={(madeOn, note) => {
        void done(madeOn, note);
      }}
    >
      <Box fontSize="22px">This clay comes off the shelf. Change what was really more or less.</Box>
      {shelf.data && <ClayUsed used={used} say={say} shelf={shelf.data} refusal={refusal} />}
    </WriteDown>
  );
}
