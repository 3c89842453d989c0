import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactElement, type ReactNode } from 'react';
import { readDay } from '../state/readDay.js';
import { showDate, today } from '../state/today.js';
import { Action, Note } from '../theme/pieces.js';
import { UNSENT } from '../wire/leaving.js';
import type { Refused } from '../wire/ask.js';
import { Value } from './Value.js';
import { Warning } from './Warning.js';

interface WriteDownProps {
  /** what is asked before the day and the note */
  readonly children: ReactNode;
  readonly refusal: Refused | undefined;
  readonly onWrite: (madeOn: string, note: string) => void;
  readonly onBack: () => void;
  readonly disabled?: boolean;
}

/** The end of a bench card: what really happened, and then the diary has it. */
export function WriteDown({ children, refusal, onWrite, onBack, disabled }: WriteDownProps): ReactElement {
  const [note, setNote] = useState('');
  const [madeOn, setMadeOn] = useState(today());
  return (
    <Flex {...UNSENT} direction="column" gap={4} maxWidth="760px">
      <Box as="h1" data-step="" fontSize="54px" lineHeight={1.08}>
        Done?
      </Box>
      {children}
      <Box>
        made on{' '}
        <Value label="Made on" text={showDate(madeOn)} read={(t) => readDay(t) ?? today()} onChange={setMadeOn} />
      </Box>
      <Note
        aria-label="Note for the diary"
        placeholder="How did it go? What to do next time?"
        value={note}
        onChange={(e) => {
          setNote(e.currentTarget.value);
        }}
      />
      {refusal && !refusal.problem.fields?.some((f) => f.field.startsWith('used.')) && (
        <Warning>{refusal.message}</Warning>
      )}
      <Flex gap={3}>
        <Action
          main
          large
          disabled={disabled}
          onClick={() => {
            onWrite(madeOn, note);
          }}
        >
          Done, write it down
        </Action>
        <Action large onClick={onBack}>
          One back
        </Action>
      </Flex>
    </Flex>
  );
}
