import { Box, Flex } from '@chakra-ui/react';
import { useEffect, type ReactElement } from 'react';
import { ringBell } from '../state/bell.js';
import { leftWords, useTimers, type Timer } from '../state/timers.js';
import { useSeconds } from '../state/useSeconds.js';
import { Word } from '../theme/pieces.js';

const SECOND = 1000;
/** ms after which a timer that nobody has looked at rings again. */
const AGAIN = 30 * SECOND;

/** Rings when a timer is over, and again until somebody says that it was heard. */
function useRinging(timers: readonly Timer[], now: number): void {
  const ring = useTimers((s) => s.ring);
  const over = timers.filter((t) => t.endsAt <= now);
  const fresh = over.find((t) => !t.rung)?.id;
  useEffect(() => {
    if (fresh === undefined) return;
    ringBell();
    ring(fresh);
  }, [fresh, ring]);
  const waiting = over.length > 0;
  useEffect(() => {
    if (!waiting) return;
    const again = setInterval(ringBell, AGAIN);
    return () => {
      clearInterval(again);
    };
  }, [waiting]);
}

function OneTimer({ timer, now }: { readonly timer: Timer; readonly now: number }): ReactElement {
  const stop = useTimers((s) => s.stop);
  const over = timer.endsAt <= now;
  return (
    <Flex
      as="li"
      gap={3}
      alignItems="baseline"
      paddingX={4}
      paddingY={2}
      borderRight="hair"
      background={over ? 'ink' : 'transparent'}
      color={over ? 'tile' : 'ink'}
    >
      <Box fontWeight={700} fontSize="h1" css={{ fontVariantNumeric: 'tabular-nums' }}>
        {over ? 'over' : leftWords(timer.endsAt - now)}
      </Box>
      <Box>{timer.label}</Box>
      <Word
        fontSize="small"
        aria-label={`${over ? 'Heard' : 'Stop'}: ${timer.label}`}
        _hover={{ background: 'transparent' }}
        onClick={() => {
          stop(timer.id);
        }}
      >
        {over ? 'heard' : 'stop'}
      </Word>
    </Flex>
  );
}

/** Everything that is waited for, on every page: each rings when it is over. */
export function TimerBar(): ReactElement | null {
  const timers = useTimers((s) => s.timers);
  const now = useSeconds(timers.length > 0);
  useRinging(timers, now);
  if (timers.length === 0) return null;
  return (
    <Box
      role="timer"
      aria-label="Timers"
      background="paper"
      borderBottom="rule"
      css={{ '@media print': { display: 'none' } }}
    >
      <Flex as="ul" wrap="wrap">
        {timers.map((timer) => (
          <OneTimer key={timer.id} timer={timer} now={now} />
        ))}
      </Flex>
    </Box>
  );
}
