import { Box } from '@chakra-ui/react';
import { useMemo, type ReactElement } from 'react';
import { Link } from 'react-router';
import { useDaysAnswer, useDaysRule } from '../../wire/queries.js';
import { instantOf, longDayWords } from '../batches/days/clock.js';
import type { AllDays } from '../batches/days/daysProblem.js';
import { done } from '../batches/days/ruleMoves.js';
import { OneJob } from '../batches/days/DayList.js';
import { workOn } from '../batches/days/todaysWork.js';
import { useDays } from '../batches/days/useDays.js';

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
