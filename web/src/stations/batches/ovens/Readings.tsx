import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { showMinutes, showTemperature } from '#core/units';
import type { OvenDto } from '#contract';
import { readCount } from '../../../parts/readCount.js';
import { TemperatureValue, Value } from '../../../parts/Value.js';
import { showDate, today } from '../../../state/today.js';
import { useUnits } from '../../../state/view.js';
import { Action, Caption, Second, Word } from '../../../theme/pieces.js';
import { withReading } from './ovenWords.js';

interface ReadingsProps {
  readonly oven: OvenDto;
  readonly onChange: (oven: OvenDto) => void;
}

const MOST_MINUTES = 600;
/** What is usual to begin with. */
const FIRST = { dial: 130, celsius: 130, minutes: 20 };

/** A reading that is typed in: the dial, the thermometer, and how long the oven had been on. */
function OneMore({ oven, onChange }: ReadingsProps): ReactElement {
  const [typed, setTyped] = useState(FIRST);
  return (
    <Box fontSize="body" lineHeight={1.9}>
      Dial at{' '}
      <TemperatureValue
        label="What the dial says"
        value={typed.dial}
        onChange={(dial) => {
          setTyped({ ...typed, dial });
        }}
      />
      , the thermometer in it at{' '}
      <TemperatureValue
        label="What the thermometer says"
        value={typed.celsius}
        onChange={(celsius) => {
          setTyped({ ...typed, celsius });
        }}
      />
      ,{' '}
      <Value
        label="Minutes since it was switched on"
        text={String(typed.minutes)}
        read={readCount(0, MOST_MINUTES, 'The minutes')}
        onChange={(minutes) => {
          setTyped({ ...typed, minutes });
        }}
      />{' '}
      minutes after it was switched on{' '}
      <Action
        marginLeft={2}
        onClick={() => {
          onChange(withReading(oven, { ...typed, readOn: today() }));
        }}
      >
        Write it down
      </Action>
    </Box>
  );
}

/** What was read in an oven, the newest first. */
export function Readings(props: ReadingsProps): ReactElement {
  const { oven, onChange } = props;
  const units = useUnits();
  return (
    <Box>
      <Box as="h2" marginBottom={1}>
        What was read in it
      </Box>
      <OneMore {...props} />
      {oven.readings.length === 0 ? (
        <Caption display="block">
          Hang a thermometer of its own between the trays, and read it now and then: early, and once it is steady.
        </Caption>
      ) : (
        <Box as="ul" aria-label="Readings" marginTop={2}>
          {[...oven.readings].reverse().map((reading) => (
            <Flex as="li" key={reading.id} gap={3} fontSize="small" alignItems="baseline">
              <Box width="150px" flex="none">
                <Second>{showDate(reading.readOn)}</Second>
              </Box>
              <span>
                dial {showTemperature(reading.dial, units)}, <b>{showTemperature(reading.celsius, units)}</b>
                {reading.minutes === null ? ', steady' : ` after ${showMinutes(reading.minutes)}`}
              </span>
              <Word
                aria-label={`Take the reading of ${showTemperature(reading.celsius, units)} out`}
                onClick={() => {
                  onChange({ ...oven, readings: oven.readings.filter((r) => r.id !== reading.id) });
                }}
              >
                out
              </Word>
            </Flex>
          ))}
        </Box>
      )}
    </Box>
  );
}
