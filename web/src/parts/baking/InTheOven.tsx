import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { showTemperature } from '#core/units';
import { useBaking } from '../../state/baking.js';
import { useSeconds } from '../../state/useSeconds.js';
import { useUnits } from '../../state/view.js';
import { Caption, Second } from '../../theme/pieces.js';
import { Warning } from '../Warning.js';
import { alarmWords, countedWords, itemsWords, standsAt, unknownWords, whereWords } from './bakeWords.js';
import { LiveCurve } from './LiveCurve.js';
import { ProbeWords } from './ProbeWords.js';
import { TakeOut } from './TakeOut.js';

/** What is in the oven now: its curve, the minutes that count, the probe, the way out. Nothing where it is empty. */
export function InTheOven(): ReactElement | null {
  const units = useUnits();
  const load = useBaking((s) => s.load);
  const now = useSeconds(load !== null);
  if (!load) return null;
  const stands = standsAt(load, now);
  const alarm = alarmWords(stands, load, units);
  const unknown = unknownWords(stands);
  const { hottest } = stands.told;
  return (
    <Box as="section" aria-label="In the oven now" borderY="rule" paddingY={4}>
      <Box as="h2" fontSize="h1">
        In {load.ovenName}: {itemsWords(load)}
      </Box>
      <Flex gap={6} wrap="wrap" alignItems="flex-start" marginTop={2}>
        <Box flex="1 1 480px" minWidth={0}>
          <LiveCurve load={load} curve={load.curve} label={`How warm it is in ${load.ovenName}`} />
        </Box>
        <Flex direction="column" gap={3} flex="1 1 260px" maxWidth="420px">
          <Box>
            <Box fontSize="54px" lineHeight={1} fontWeight={700} whiteSpace="nowrap" data-counted="">
              {countedWords(stands, load)}
            </Box>
            <Second>{stands.heard ? 'within the band' : 'by the clock'}</Second>
            {hottest !== null && <Caption display="block">hottest {showTemperature(hottest, units)}</Caption>}
          </Box>
          {alarm === null ? <Box role="status">{whereWords(stands, load, units)}</Box> : <Warning>{alarm}</Warning>}
          {unknown !== null && <Caption>{unknown}</Caption>}
          <ProbeWords load={load} />
        </Flex>
      </Flex>
      <Box marginTop={4}>
        <TakeOut load={load} main={stands.enough} />
      </Box>
    </Box>
  );
}
