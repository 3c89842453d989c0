import { Box, Flex } from '@chakra-ui/react';
import { useMemo, type ReactElement } from 'react';
import { Link } from 'react-router';
import { Second, Word } from '../../theme/pieces.js';
import { useDaysAnswer, useDaysRule } from '../../wire/queries.js';
import { clockWords, instantOf, longDayWords, minuteOf } from '../batches/days/clock.js';
import type { AllDays } from '../batches/days/daysProblem.js';
import { done } from '../batches/days/ruleMoves.js';
import { workOn, type DaysWork } from '../batches/days/todaysWork.js';
import { useDays } from '../batches/days/useDays.js';

interface OneProps {
  readonly work: DaysWork;
  readonly onDone: () => void;
}

/** One job of the day, to be read from a metre. */
function OneJob({ work, onDone }: OneProps): ReactElement {
  const { job, batchName, from, to, oven } = work;
  const words = `${clockWords(minuteOf(from))} to ${clockWords(minuteOf(to))}`;
  return (
    <Flex as="li" gap={4} alignItems="baseline" borderTop="hair" paddingY={2} wrap="wrap">
      <Box width="190px" flex="none" fontSize="h2" css={{ fontVariantNumeric: 'tabular-nums' }}>
        {words}
      </Box>
      <Box flex={1} fontSize="h1" fontFamily="heading" minWidth="240px">
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

function Work({ answer }: { readonly answer: AllDays }): ReactElement | null {
  const days = useDays(answer);
  const today = instantOf(new Date());
  const next = workOn(days.plan.jobs, answer.batches, today);
  if (next.work.length === 0) return null;
  const onDone = (jobId: string): void => {
    days.save(done(answer, jobId, Math.round(instantOf(new Date()))));
  };
  return (
    <Box as="section" aria-label="The day's work" maxWidth="900px">
      <h1>{next.today ? 'Today' : `Nothing is planned for today. Next, on ${longDayWords(next.on)}`}</h1>
      <Box as="ol" marginTop={3}>
        {next.work.map((work) => (
          <OneJob
            key={`${work.job.id} ${work.from}`}
            work={work}
            onDone={() => {
              onDone(work.job.id);
            }}
          />
        ))}
      </Box>
      <Box marginTop={3}>
        <Link to="/batches/days">all days</Link>
      </Box>
    </Box>
  );
}

/** What is to be done today of all open batches, in its order. */
export function TodaysWork(): ReactElement | null {
  const [answer, rule] = [useDaysAnswer(), useDaysRule()];
  const all = useMemo(() => answer.data && rule.data && { ...answer.data, rule: rule.data }, [answer.data, rule.data]);
  return all ? <Work answer={all} /> : null;
}
