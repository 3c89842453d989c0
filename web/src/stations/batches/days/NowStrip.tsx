import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { Link, useNavigate } from 'react-router';
import { handsOf, lengthOf, whatFits, type PlannedJob } from '#core/days';
import { readMinutes, showMinutes } from '#core/units';
import { asPositive } from '../../../parts/asPositive.js';
import { Value } from '../../../parts/Value.js';
import { Warning } from '../../../parts/Warning.js';
import { Action, Caption, Rule, Strip, Word } from '../../../theme/pieces.js';
import { clockWords, instantOf, longDayWords, minuteOf } from './clock.js';
import type { AllDays } from './daysProblem.js';
import { spanWords } from './daysWords.js';
import { done, letGo, undone } from './ruleMoves.js';
import type { Days } from './useDays.js';

interface NowProps {
  readonly answer: AllDays;
  readonly days: Days;
  readonly chosen: string | null;
}

/** Minutes somebody has who does not say otherwise. */
const USUAL = 40;
const MOST_SHOWN = 4;

/** What fits in the minutes there are now. */
function WhatFits({ answer, days }: NowProps): ReactElement {
  const navigate = useNavigate();
  const [minutes, setMinutes] = useState(USUAL);
  const resting = new Set(days.problem.jobs.filter((j) => lengthOf(j) === 0 && j.waits > 0).map((j) => j.id));
  const fits = whatFits(days.plan, minutes, resting);
  const nameOf = (id: string): string => answer.batches.find((b) => b.id === id)?.name ?? '';
  return (
    <div>
      <h2>Now</h2>
      <Caption>
        {longDayWords(instantOf(new Date()))}, {clockWords(minuteOf(instantOf(new Date())))} · you have
      </Caption>
      <Box fontSize="figure" fontWeight={700}>
        <Value
          label="Minutes you have now"
          text={showMinutes(minutes)}
          read={(text) => readMinutes(text)}
          onChange={(next) => {
            setMinutes(asPositive('The time', next));
          }}
        />
      </Box>
      <Flex as="ul" direction="column" gap={2} aria-label="What fits now">
        {fits.slice(0, MOST_SHOWN).map(({ job, minutes: own, whole }) => (
          <Box as="li" key={job.id} border="rule" padding={2} background="tile">
            <b>{job.name}</b>
            <Caption display="block">
              {nameOf(job.batchId)} · {whole ? showMinutes(own) : `${showMinutes(own)} of ${showMinutes(handsOf(job))}`}
              {job.waits > 0 ? `, then it rests ${spanWords(job.waits)}` : ''}
            </Caption>
            <Flex gap={3} marginTop={1}>
              <Word
                fontSize="small"
                onClick={() => {
                  void navigate(`/bench/${job.batchId}`);
                }}
              >
                to the bench
              </Word>
              <Word
                fontSize="small"
                aria-label={`${job.name} of ${nameOf(job.batchId)} is done`}
                onClick={() => {
                  days.save(done(answer, job.id, Math.round(instantOf(new Date()))));
                }}
              >
                it is done
              </Word>
            </Flex>
          </Box>
        ))}
        {fits.length === 0 && <Caption>Nothing that can be begun fits in that.</Caption>}
      </Flex>
    </div>
  );
}

/** The job that is chosen: how long, where it lies, and how to move it. */
function Chosen({ answer, days, job }: Omit<NowProps, 'chosen'> & { readonly job: PlannedJob }): ReactElement {
  const own = job.job;
  return (
    <Box role="group" aria-label="The chosen job">
      <h3>{own.name}</h3>
      <Caption display="block">
        {answer.batches.find((b) => b.id === own.batchId)?.name} · {showMinutes(handsOf(own))} by hand
        {lengthOf(own) > handsOf(own) ? `, ${showMinutes(lengthOf(own) - handsOf(own))} in the oven` : ''}
        {own.waits > 0 ? `, then it rests ${spanWords(own.waits)}` : ''}
      </Caption>
      <Caption display="block">
        {job.slack === null ? '' : `it could begin up to ${spanWords(Math.max(0, job.slack))} earlier or later · `}
        arrows move it by a quarter hour and by a day
      </Caption>
      <Flex gap={3} wrap="wrap">
        {job.pinned && (
          <Word
            fontSize="small"
            onClick={() => {
              days.save(letGo(answer, own.id));
            }}
          >
            plan it again where it is best
          </Word>
        )}
        <Word
          fontSize="small"
          onClick={() => {
            days.save(done(answer, own.id, Math.round(instantOf(new Date()))));
          }}
        >
          it is done
        </Word>
      </Flex>
    </Box>
  );
}

/** What is done already, and can be taken back. */
function DoneJobs({ answer, days }: Omit<NowProps, 'chosen'>): ReactElement | null {
  const jobs = answer.jobs.filter((j) => answer.rule.done.some((d) => d.jobId === j.id));
  if (jobs.length === 0) return null;
  return (
    <Box>
      <h3>Done of it</h3>
      <ul aria-label="Done of it">
        {jobs.map((job) => (
          <li key={job.id}>
            {job.name} <Caption>{answer.batches.find((b) => b.id === job.batchId)?.name}</Caption>{' '}
            <Word
              fontSize="small"
              onClick={() => {
                days.save(undone(answer, job.id));
              }}
            >
              not yet
            </Word>
          </li>
        ))}
      </ul>
    </Box>
  );
}

/** What to do now, the chosen job, and what has to be bought. */
export function NowStrip(props: NowProps): ReactElement {
  const { answer, days, chosen } = props;
  const job = days.plan.jobs.find((j) => j.job.id === chosen);
  const nothing = answer.jobs.length === 0;
  return (
    <Strip aria-label="Now">
      {nothing ? <Warning>No open batch has work that can be planned.</Warning> : <WhatFits {...props} />}
      {job && (
        <>
          <Rule />
          <Chosen answer={answer} days={days} job={job} />
        </>
      )}
      <DoneJobs answer={answer} days={days} />
      <Rule />
      <Link to="/shelf">what is to be bought stands at the shelf</Link>
      <Action
        onClick={() => {
          window.print();
        }}
      >
        Print the days
      </Action>
    </Strip>
  );
}
