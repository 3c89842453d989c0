import { Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { readMinutes, showMinutes } from '#core/units';
import { asPositive } from '../../parts/asPositive.js';
import { Value } from '../../parts/Value.js';
import { useTimers } from '../../state/timers.js';
import { Action, Caption } from '../../theme/pieces.js';

interface WaitProps {
  /** what is waited for */
  readonly label: string;
  readonly minutes: number;
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
            setSaid(asPositive('The time', next));
          }}
        />
      </span>
      <Caption>it goes on while the window is shut, and rings</Caption>
    </Flex>
  );
}
