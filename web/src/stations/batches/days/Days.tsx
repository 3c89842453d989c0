import { Box, Flex, Grid } from '@chakra-ui/react';
import { useMemo, useState, type ReactElement } from 'react';
import { Link, useNavigate } from 'react-router';
import { Empty, Reading } from '../../../parts/Empty.js';
import { saveFile } from '../../../parts/saveFile.js';
import { Value } from '../../../parts/Value.js';
import { Warning } from '../../../parts/Warning.js';
import { useNarrow } from '../../../state/useNarrow.js';
import { Second, Word } from '../../../theme/pieces.js';
import { useDaysAnswer, useDaysRule } from '../../../wire/queries.js';
import { useRefusal } from '../../../wire/save.js';
import { calendarOf } from './calendarFile.js';
import { hoursWords, readHours } from './clock.js';
import { lookOf } from './DayRow.js';
import type { AllDays } from './daysProblem.js';
import { DayList } from './DayList.js';
import { DayStrips } from './DayStrips.js';
import { brokenWords, handsWords, helpWords, outcomeWords } from './daysWords.js';
import { NowStrip } from './NowStrip.js';
import { withWeekday } from './ruleMoves.js';
import { RULE, useDays, type Days as DaysOf } from './useDays.js';

const WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] as const;

interface Props {
  readonly answer: AllDays;
  readonly days: DaysOf;
}

/** Weekdays in a row with the same free hours. */
function alike(weekdays: AllDays['rule']['weekdays']): { readonly from: number; readonly to: number }[] {
  const same = (a: number, b: number): boolean =>
    hoursWords(weekdays[a]?.hours ?? []) === hoursWords(weekdays[b]?.hours ?? []);
  return WEEKDAYS.reduce<{ from: number; to: number }[]>((groups, _, day) => {
    const last = groups.at(-1);
    if (!last || !same(last.to, day)) return [...groups, { from: day, to: day }];
    return [...groups.slice(0, -1), { from: last.from, to: day }];
  }, []);
}

/** The free hours of a week, edited where they stand: of days that are alike together, or of each by itself. */
function FreeHours({ answer, days }: Props): ReactElement {
  const [each, setEach] = useState(false);
  const { weekdays } = answer.rule;
  const groups = each ? WEEKDAYS.map((_, day) => ({ from: day, to: day })) : alike(weekdays);
  const called = ({ from, to }: { readonly from: number; readonly to: number }): string =>
    from === to ? (WEEKDAYS[from] ?? '') : `${WEEKDAYS[from] ?? ''} to ${WEEKDAYS[to] ?? ''}`;
  return (
    <Flex gap={3} wrap="wrap" alignItems="baseline" role="group" aria-label="Free hours by weekday">
      <span>free</span>
      {groups.map((group) => (
        <span key={group.from}>
          {called(group)}{' '}
          <Value
            label={`Free on ${called(group)}`}
            text={hoursWords(weekdays[group.from]?.hours ?? [])}
            read={readHours}
            onChange={(hours) => {
              days.save(
                WEEKDAYS.reduce(
                  (rule, _, day) => (day >= group.from && day <= group.to ? withWeekday(rule, day, hours) : rule),
                  answer.rule,
                ),
              );
            }}
          />
        </span>
      ))}
      <Word
        fontSize="small"
        onClick={() => {
          setEach(!each);
        }}
      >
        {each ? 'days that are alike together' : 'each day by itself'}
      </Word>
    </Flex>
  );
}

/** How each batch comes out, and what its boxes look like. */
function Outcomes({ answer, days }: Props): ReactElement {
  return (
    <Flex as="ul" direction="column" gap={1} aria-label="How the batches come out">
      {answer.batches.map((batch, i) => {
        const planned = days.plan.batches.find((b) => b.batchId === batch.id);
        const due = days.problem.batches.find((b) => b.id === batch.id)?.due ?? null;
        if (!planned || !answer.jobs.some((j) => j.batchId === batch.id)) return null;
        const { background, border } = lookOf(i);
        return (
          <Flex as="li" key={batch.id} gap={3} alignItems="baseline">
            <Box width="26px" height="14px" flex="none" style={{ background, border }} />
            <Box minWidth={0}>
              <Link to={`/batches/${batch.id}`}>{batch.name}</Link> <Second>{outcomeWords(planned, due)}</Second>
            </Box>
          </Flex>
        );
      })}
    </Flex>
  );
}

/** What is late, with single changes that help; what is too long; what somebody put where it cannot be. */
function Troubles({ answer, days }: Props): ReactElement {
  const [asked, setAsked] = useState<string | null>(null);
  const { helpsFor } = days;
  const jobCalled = (id: string): string => answer.jobs.find((j) => j.id === id)?.name ?? 'a job';
  const nameOf = (id: string): string => answer.batches.find((b) => b.id === id)?.name ?? '';
  const count = (batchId: string): number =>
    Math.max(0, ...answer.jobs.filter((j) => j.batchId === batchId).map((j) => j.count));
  const helps = useMemo(() => (asked === null ? [] : helpsFor(asked)), [asked, helpsFor]);
  if (days.problem.windows.length === 0)
    return <Warning>Nobody is free on any day: say when you are, above, and everything finds its place.</Warning>;
  return (
    <Flex direction="column" gap={2}>
      {days.late.map(({ batchId, late, ready }) => (
        <Warning key={batchId}>
          {nameOf(batchId)}: {ready === null ? 'not all of it has room in these hours' : 'too late'}
          {late > 0 && Number.isFinite(late) ? ` by ${Math.ceil(late / 60)} h` : ''}.{' '}
          {asked === batchId ? (
            <b>
              {helps.length === 0
                ? 'No single change is enough.'
                : helps.map((h) => helpWords(h, jobCalled, count(batchId))).join('; ')}
            </b>
          ) : (
            <Word
              onClick={() => {
                setAsked(batchId);
              }}
            >
              what helps?
            </Word>
          )}
        </Warning>
      ))}
      {days.tooLong.map((job) => (
        <Warning key={job.id}>
          {nameOf(job.batchId)}: “{job.name}” takes longer than any free stretch and cannot be laid aside. Make one
          longer.
        </Warning>
      ))}
      {days.broken.map((broken, i) => (
        <Warning key={i}>{brokenWords(broken, jobCalled)}</Warning>
      ))}
    </Flex>
  );
}

/** What the bench has taught of these hands. */
function YourHands({ learned }: Pick<AllDays, 'learned'>): ReactElement {
  return (
    <Second aria-label="What your hands take">
      {learned.length === 0
        ? 'Minutes are assumed, until the bench has counted some of yours.'
        : `Your hands, as the bench counted: ${learned.map(handsWords).join(', ')}.`}
    </Second>
  );
}

function NoDays(): ReactElement {
  const navigate = useNavigate();
  return (
    <Empty
      title="No days to plan"
      action="Plan a batch"
      onAction={() => {
        void navigate('/batches');
      }}
    >
      The days follow from the batches: what is made in them, by when, and how long each step takes.
    </Empty>
  );
}

function Planned({ answer }: { readonly answer: AllDays }): ReactElement {
  const days = useDays(answer);
  const refusal = useRefusal(RULE);
  const narrow = useNarrow();
  const [chosen, setChosen] = useState<string | null>(null);
  if (answer.jobs.length === 0) return <NoDays />;
  if (narrow) return <HeldDays answer={answer} days={days} />;
  const save = (): void => {
    const file = calendarOf(days.plan, (id) => answer.batches.find((b) => b.id === id)?.name ?? '');
    if (file !== null) saveFile('The days', 'ics', 'text/calendar', file);
  };
  return (
    <Grid
      templateColumns="minmax(0, 1fr) 290px"
      height="100%"
      minHeight={0}
      css={{ '@media print': { display: 'block', height: 'auto', '& section': { display: 'none' } } }}
    >
      <Flex
        direction="column"
        gap={4}
        padding={5}
        overflow="auto"
        minWidth={0}
        tabIndex={0}
        role="region"
        aria-label="The days"
      >
        <Flex alignItems="baseline" gap={4} wrap="wrap">
          <h1>The days</h1>
          <Second>
            {days.plan.backwards
              ? 'all open batches, backwards from their days: as late as may be'
              : 'all open batches, from now on'}
          </Second>
          <Link to="/batches">to the batches</Link>
          <Word fontSize="small" onClick={save}>
            as .ics
          </Word>
        </Flex>
        <FreeHours answer={answer} days={days} />
        {refusal && <Warning>{refusal.message}</Warning>}
        <Troubles answer={answer} days={days} />
        <DayStrips {...{ answer, days, chosen }} onChoose={setChosen} />
        <Outcomes answer={answer} days={days} />
        <YourHands learned={answer.learned} />
      </Flex>
      <NowStrip {...{ answer, days, chosen }} />
    </Grid>
  );
}

/** The days as they are held: now, what is wrong, and what is to be done when. */
function HeldDays({ answer, days }: Props): ReactElement {
  return (
    <Flex direction="column" gap={4} overflowY="auto" height="100%" padding={4}>
      <Troubles answer={answer} days={days} />
      <DayList answer={answer} days={days} />
      <Outcomes answer={answer} days={days} />
    </Flex>
  );
}

/** All open batches in the free hours there are. */
export default function Days(): ReactElement {
  const [answer, rule] = [useDaysAnswer(), useDaysRule()];
  const all = useMemo(() => answer.data && rule.data && { ...answer.data, rule: rule.data }, [answer.data, rule.data]);
  return all ? <Planned answer={all} /> : <Reading error={answer.error ?? rule.error} />;
}
