import { Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { readNumber, showMinutes } from '#core/units';
import { Value } from '../../parts/Value.js';
import { useTimers } from '../../state/timers.js';
import { Action, Caption } from '../../theme/pieces.js';

interface WaitProps {
  /** what is waited for */
  readonly label: string;
  readonly minutes: number;
}

const HOUR = 60;
/** @throws Complaint where it is no time */
function readMinutes(text: string): number {
  const hours = /h/i.test(text);
  const value = readNumber(text.replace(/h(ours?)?|min(ute)?s?/gi, '').trim()).valueOf();
  return hours ? value * HOUR : value;
}

/** A timer for what is waited for: it goes on through a reload, and rings. */
export function WaitFor({ label, minutes: planned }: WaitProps): ReactElement {
  const start = useTimers((s) => s.start);
  const [said, setSaid] = useState<number | null>(null);
  const minutes = said ?? planned;
  return (
    <Flex gap={3} alignItems="center" wrap="wrap">
      <Action
        onClick={() => {
          start(label, minutes, Date.now());
        }}
      >
        Start a timer
      </Action>
      <span>
        of{' '}
        <Value
          label="Minutes of the timer"
          text={showMinutes(minutes)}
          read={readMinutes}
          onChange={(next) => {
            if (next > 0) setSaid(next);
          }}
        />
      </span>
      <Caption>it goes on while the window is shut, and rings</Caption>
    </Flex>
  );
}
