import { Box, Flex } from '@chakra-ui/react';
import { Suspense, lazy, useState, type ReactElement, type ReactNode } from 'react';
import type { Outcome, WrittenDto } from '#contract';
import { useKeys } from '../state/keys.js';
import { readPastDay } from '../state/readDay.js';
import { showDate, today } from '../state/today.js';
import { Action, Note } from '../theme/pieces.js';
import { UNSENT } from '../wire/leaving.js';
import type { Refused } from '../wire/ask.js';
import { HowItWent } from './HowItWent.js';
import { Value } from './Value.js';
import { Warning } from './Warning.js';

/** Pictures are opened by a worker, which few cards need. */
const PhotographsTaken = lazy(async () => ({ default: (await import('./PhotographsTaken.js')).PhotographsTaken }));

/** What stands there until they can be taken: what is below stays where a finger is on its way to. */
const A_LINE = '22px';

/** What the diary gets at every *Done*. */
export type Written = Required<WrittenDto>;

interface WriteDownProps {
  /** what is asked before the day and the note */
  readonly children: ReactNode;
  readonly refusal: Refused | undefined;
  readonly onWrite: (written: Written) => void;
  readonly onBack: () => void;
  readonly disabled?: boolean;
}

/** The day, how it went, photographs and a note. */
function useWritten() {
  const [note, setNote] = useState('');
  const [madeOn, setMadeOn] = useState(today());
  const [outcome, setOutcome] = useState<Outcome | null>(null);
  const [pictures, setPictures] = useState<readonly string[]>([]);
  const written = (): Written => ({
    ...{ entryId: crypto.randomUUID(), madeOn, note, outcome },
    pictures: pictures.map((id) => ({ id })),
  });
  return { note, setNote, madeOn, setMadeOn, outcome, setOutcome, pictures, setPictures, written };
}

/** The end of a bench card: what really happened, and then the diary has it. */
export function WriteDown({ children, refusal, onWrite, onBack, disabled }: WriteDownProps): ReactElement {
  const own = useWritten();
  const write = (): void => {
    onWrite(own.written());
  };
  useKeys('Done?', [{ key: 'd', does: 'Write it down', run: disabled ? () => undefined : write }]);
  return (
    <Flex {...UNSENT} direction="column" gap={4} maxWidth="760px">
      <Box as="h1" data-step="" fontSize="54px" lineHeight={1.08}>
        Done?
      </Box>
      {children}
      <HowItWent large outcome={own.outcome} onChange={own.setOutcome} />
      <Suspense fallback={<Box height={A_LINE} />}>
        <PhotographsTaken pictures={own.pictures} onChange={own.setPictures} />
      </Suspense>
      <Box>
        made on <Value label="Made on" text={showDate(own.madeOn)} read={readPastDay} onChange={own.setMadeOn} />
      </Box>
      <Note
        aria-label="Note for the diary"
        placeholder="What to do next time? Nothing has to be written."
        value={own.note}
        onChange={(e) => {
          own.setNote(e.currentTarget.value);
        }}
      />
      {refusal && !refusal.problem.fields?.some((f) => f.field.startsWith('used.')) && (
        <Warning>{refusal.message}</Warning>
      )}
      <Flex gap={3}>
        <Action main large disabled={disabled} onClick={write}>
          Done, write it down
        </Action>
        <Action large onClick={onBack}>
          One back
        </Action>
      </Flex>
    </Flex>
  );
}
