import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { showTemperature } from '#core/units';
import type { InOven } from '../../state/baking.js';
import { useBaking } from '../../state/baking.js';
import { useUnits } from '../../state/view.js';
import { Action, Caption, Word } from '../../theme/pieces.js';
import { connectProbe, pressOven, putProbeAway, useProbe, type ProbeState } from '../../wire/probe.js';
import { TemperatureValue } from '../Value.js';
import { Warning } from '../Warning.js';
import { leftOutWords } from './bakeWords.js';

interface ProbeProps {
  readonly load: InOven;
}

/** Readings in a row that cannot be true, after which it is no slip any more. */
const NO_SLIP = 4;

/** What a person does to the oven that the stand-in hangs in. */
function StandInOven({ state, load }: { readonly state: ProbeState } & ProbeProps): ReactElement {
  const on = state.dial !== null;
  return (
    <Box role="group" aria-label="The oven of the stand-in" fontSize="small">
      <Caption display="block">A stand-in: it hangs in an oven that is made up. Its oven:</Caption>
      <Flex gap={3} wrap="wrap">
        <Word
          onClick={() => {
            if (on) void pressOven('off');
            else void pressOven('on', { dial: load.dial ?? Math.round(load.celsius), oven: load.ovenName });
          }}
        >
          {on ? 'switch it off' : 'switch it on'}
        </Word>
        <Word onClick={() => void pressOven('door')}>{state.doorOpen ? 'shut the door' : 'open the door'}</Word>
        <Word onClick={() => void pressOven('pace')} aria-label={`Its time: ${state.pace} times as fast`}>
          time × {state.pace}
        </Word>
      </Flex>
    </Box>
  );
}

/** The probe beside the pieces: how to hear it, and what is wrong with it. */
export function ProbeWords({ load }: ProbeProps): ReactElement {
  const units = useUnits();
  const setDial = useBaking((s) => s.setDial);
  const { link, state, celsius, leftOut, odd, wrong } = useProbe();
  return (
    <Flex direction="column" gap={2} alignItems="flex-start">
      <Box>
        The dial stands at{' '}
        <TemperatureValue
          label="Where the dial stands"
          value={load.dial ?? load.celsius}
          onChange={(dial) => {
            setDial(dial);
            if (state?.standIn && state.dial !== null) void pressOven('on', { dial, oven: load.ovenName });
          }}
        />
      </Box>
      {link === 'none' ? (
        <Action onClick={connectProbe}>Listen to the probe</Action>
      ) : (
        <Box aria-label="The probe" role="group">
          {celsius !== null && (
            <Box>
              The probe: <b>{showTemperature(celsius, units)}</b>
            </Box>
          )}
          {link !== 'there' && <Caption display="block">{link === 'away' ? 'gone; looking …' : 'looking …'}</Caption>}
          {odd >= NO_SLIP && <Warning>The probe says nothing that can be true. Look at its plug.</Warning>}
          {leftOut.count > 0 && <Caption display="block">{leftOutWords(leftOut.count, leftOut.last, units)}</Caption>}
          {state?.standIn && <StandInOven state={state} load={load} />}
          <Word fontSize="small" onClick={putProbeAway}>
            put the probe away
          </Word>
        </Box>
      )}
      {wrong !== null && <Warning>{wrong}</Warning>}
    </Flex>
  );
}
