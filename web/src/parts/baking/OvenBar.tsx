import { Box, Flex } from '@chakra-ui/react';
import { useEffect, type ReactElement } from 'react';
import { Link } from 'react-router';
import { showTemperature } from '#core/units';
import { useBaking, type InOven } from '../../state/baking.js';
import { ringBell } from '../../state/bell.js';
import { useSeconds } from '../../state/useSeconds.js';
import { useUnits } from '../../state/view.js';
import { NARROW } from '../../theme/narrow.js';
import { connectProbe } from '../../wire/probe.js';
import { alarmWords, countedWords, itemsWords, standsAt } from './bakeWords.js';

/** ms after which it rings again: while something is wrong, and where it waits to be taken out. */
const [WRONG, WAITS] = [4_000, 30_000];

/** Rings at once, and again, while there is a reason to. */
function useRings(every: number | null): void {
  useEffect(() => {
    if (every === null) return;
    ringBell();
    const again = setInterval(ringBell, every);
    return () => {
      clearInterval(again);
    };
  }, [every]);
}

/** A load that was put in before this window was opened is listened to again. */
function useProbeOfLoad({ probeAhead }: InOven): void {
  const heard = probeAhead !== null;
  useEffect(() => {
    if (heard) connectProbe();
  }, [heard]);
}

function Bar({ load }: { readonly load: InOven }): ReactElement {
  const units = useUnits();
  const stands = standsAt(load, useSeconds(true));
  const alarm = alarmWords(stands, load, units);
  useProbeOfLoad(load);
  const waits = stands.enough ? WAITS : null;
  useRings(alarm === null ? waits : WRONG);
  const loud = alarm !== null || stands.enough;
  const now = stands.told.now;
  return (
    <Box
      role={alarm === null ? 'region' : 'alert'}
      aria-label="In the oven"
      background={loud ? 'ink' : 'paper'}
      color={loud ? 'tile' : 'ink'}
      borderBottom="rule"
      css={{ '@media print': { display: 'none' } }}
    >
      <Flex gap={4} alignItems="baseline" paddingX={4} paddingY={2} wrap="wrap">
        <Box fontWeight={700} fontSize="h1" css={{ fontVariantNumeric: 'tabular-nums' }}>
          {now === null ? countedWords(stands, load) : `${showTemperature(now, units)}, ${countedWords(stands, load)}`}
        </Box>
        <Box flex={1} css={{ [NARROW]: { flex: '1 1 100%', order: 1, lineHeight: 1.25 } }}>
          {alarm ?? `${stands.enough ? 'Take it out' : 'In the oven'}: ${itemsWords(load)}`}
        </Box>
        <Link to="/batches/ovens" style={{ color: 'inherit' }}>
          look
        </Link>
      </Flex>
    </Box>
  );
}

/** What is in the oven, on every page: it rings before the maximum, and when it has been in for long enough. */
export function OvenBar(): ReactElement | null {
  const load = useBaking((s) => s.load);
  return load ? <Bar key={load.id} load={load} /> : null;
}
