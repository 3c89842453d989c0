import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { Link } from 'react-router';
import { Second, Word } from '../../../theme/pieces.js';
import { clockWords, instantOf, longDayWords, minuteOf } from './clock.js';
import type { AllDays } from './daysProblem.js';
import { done } from './ruleMoves.js';
import { workByDay, type DaysWork } from './todaysWork.js';
import type { Days } from './useDays.js';

interface OneProps {
  readonly work: DaysWork;
  readonly onDone: () => void;
}

/** One job of a day, to be read from a metre. */
export function OneJob({ work, onDone }: OneProps): ReactElement {
  const { job, batchName, from, to, oven } = work;
  const words = `${clockWords(minuteOf(from))} to ${clockWords(minuteOf(to))}`;
  return (
    <Flex as="li" columnGap={4} alignItems="baseline" borderTop="hair" paddingY={2} wrap="wrap">
      <Box width="190px" flex="none" fontSize="h2" css={{ fontVariantNumeric: 'tabular-nums' }}>
        {words}
      </Box>
      <Box flex={1} fontSize="h1" fontFamily="heading" minWidth="240px" lineHeight={1.25}>
        <Link to={`/bench/${job.batchId}`}>{oven ? `${job.name}: in the oven` : job.name}</Link>{' '}
        <Second>{batchName}</Second>
      </Box>
      {!oven && (
        <Word aria-label={`${job.name} of ${batchName} is done`} onClick={onDone}>
          it is done
        </Word>
      )}
    </Flex>
  );
}

/** Days of the list. */
const DAYS = 7;

/** The days in words, for a screen that is held: what is to be done when, and what is done. */
export function DayList({ answer, days }: { readonly answer: AllDays; readonly days: Days }): ReactElement {
  const next = workByDay(days.plan.jobs, answer.batches, instantOf(new Date())).slice(0, DAYS);
  return (
    <Flex direction="column" gap={5}>
      {next.map(({ on, work }) => (
        <Box as="section" key={on} aria-label={longDayWords(on)}>
          <h2>{longDayWords(on)}</h2>
          <ol>
            {work.map((one) => (
              <OneJob
                key={`${one.job.id} ${one.from}`}
                work={one}
                onDone={() => {
                  days.save(done(answer, one.job.id, Math.round(instantOf(new Date()))));
                }}
              />
            ))}
          </ol>
        </Box>
      ))}
      {next.length === 0 && <Second>Nothing is planned from here on.</Second>}
    </Flex>
  );
}
