import { useCallback, useEffect, useMemo, useState } from 'react';
import { brokenRules, planDays, tooLong, whatHelps, type DaysPlan, type Instant, type Move } from '#core/days';
import type { DaysRuleDto } from '#contract';
import { put } from '../../../wire/save.js';
import { instantOf } from './clock.js';
import { daysProblem, optionalIn, type AllDays } from './daysProblem.js';

/** Where the free hours are kept. */
export const RULE = '/api/days/rule';
const MINUTE = 60_000;
/** A plan is made for a quarter of an hour: it does not change with each minute. */
const QUARTER = 15;

/** Now, to the quarter hour that has begun. */
function useNow(): Instant {
  const quarter = (): Instant => Math.floor(instantOf(new Date()) / QUARTER) * QUARTER;
  const [now, setNow] = useState(quarter);
  useEffect(() => {
    const timer = setInterval(() => {
      setNow(quarter());
    }, MINUTE);
    return () => {
      clearInterval(timer);
    };
  }, []);
  return now;
}

/** The days as they are planned, what they break, what is too long for them, and the ways to change them. */
export function useDays(answer: AllDays) {
  const now = useNow();
  const [dragged, setDragged] = useState<Move | null>(null);
  const resting = useMemo(() => daysProblem(answer, now, null), [answer, now]);
  const problem = useMemo(
    () => (dragged ? daysProblem(answer, now, dragged) : resting),
    [answer, now, dragged, resting],
  );
  // while something is dragged the plan follows the hand, by the priority rule alone
  const plan: DaysPlan = useMemo(() => (dragged ? planDays(problem, 0) : planDays(problem)), [problem, dragged]);
  const broken = useMemo(() => brokenRules(plan.jobs, problem), [plan, problem]);
  const save = (rule: DaysRuleDto): void => {
    void put<DaysRuleDto>(RULE, rule, rule);
  };
  // dozens of plans: not while something is dragged, and once for a question
  /** single changes that help a batch that is late */
  const helpsFor = useCallback(
    (batchId: string) => whatHelps(resting, batchId, optionalIn(answer, batchId)),
    [resting, answer],
  );
  const late = plan.batches.filter((b) => b.late > 0 || b.ready === null);
  return { now, plan, problem, broken, save, dragged, setDragged, late, tooLong: tooLong(problem), helpsFor };
}

export type Days = ReturnType<typeof useDays>;
