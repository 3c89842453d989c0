import type { Instant } from '#core/days';
import type { DaysRuleDto } from '#contract';
import type { AllDays } from './daysProblem.js';

/** What only concerns jobs that are there still. */
function tidied(rule: DaysRuleDto, { jobs }: Pick<AllDays, 'jobs'>): DaysRuleDto {
  const there = new Set(jobs.map((j) => j.id));
  return {
    ...rule,
    moves: rule.moves.filter((m) => there.has(m.jobId)),
    done: rule.done.filter((d) => there.has(d.jobId)),
  };
}

/** A job put somewhere by hand. */
export function put({ rule, ...answer }: AllDays, jobId: string, at: Instant): DaysRuleDto {
  const moves = [...rule.moves.filter((m) => m.jobId !== jobId), { jobId, at: Math.max(0, at) }];
  return tidied({ ...rule, moves }, answer);
}

/** A job planned again where it is best. */
export function letGo({ rule, ...answer }: AllDays, jobId: string): DaysRuleDto {
  return tidied({ ...rule, moves: rule.moves.filter((m) => m.jobId !== jobId) }, answer);
}

/** A job that is done now; what it stood for by hand goes with it. */
export function done({ rule, ...answer }: AllDays, jobId: string, at: Instant): DaysRuleDto {
  const moves = rule.moves.filter((m) => m.jobId !== jobId);
  return tidied({ ...rule, moves, done: [...rule.done.filter((d) => d.jobId !== jobId), { jobId, at }] }, answer);
}

/** A job that is not done after all. */
export function undone({ rule, ...answer }: AllDays, jobId: string): DaysRuleDto {
  return tidied({ ...rule, done: rule.done.filter((d) => d.jobId !== jobId) }, answer);
}

type Hours = DaysRuleDto['weekdays'][number]['hours'];

export const withWeekday = (rule: DaysRuleDto, weekday: number, hours: Hours): DaysRuleDto => ({
  ...rule,
  weekdays: rule.weekdays.map((d, i) => (i === weekday ? { hours } : d)),
});

/** One day otherwise than its weekday; the same as its weekday: no exception any more. */
export function withDay(rule: DaysRuleDto, on: string, weekday: number, hours: Hours): DaysRuleDto {
  const others = rule.exceptions.filter((e) => e.on !== on);
  const usual = JSON.stringify(rule.weekdays[weekday]?.hours) === JSON.stringify(hours);
  return { ...rule, exceptions: usual ? others : [...others, { on, hours }] };
}

export const hoursOn = (rule: DaysRuleDto, on: string, weekday: number): Hours =>
  rule.exceptions.find((e) => e.on === on)?.hours ?? rule.weekdays[weekday]?.hours ?? [];
