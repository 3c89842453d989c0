// each by itself: all of the package takes a third of a second to load
import { differenceInCalendarDays } from 'date-fns/differenceInCalendarDays';
import { differenceInCalendarISOWeeks } from 'date-fns/differenceInCalendarISOWeeks';
import { differenceInCalendarMonths } from 'date-fns/differenceInCalendarMonths';
import { format } from 'date-fns/format';

/** A copy that was kept by the rule. */
export interface RuledCopy {
  readonly name: string;
  /** ISO time */
  readonly at: string;
}

/** Of each of the last so many days, weeks and months the newest copy stays. */
export const RULE = { days: 7, weeks: 4, months: 12 } as const;

interface Span {
  readonly most: number;
  /** in which one it lies, and how many ago that is */
  readonly called: (at: Date) => string;
  readonly ago: (now: Date, at: Date) => number;
}

const SPANS: readonly Span[] = [
  { most: RULE.days, called: (at) => format(at, 'yyyy-MM-dd'), ago: differenceInCalendarDays },
  { most: RULE.weeks, called: (at) => format(at, "RRRR-'w'II"), ago: differenceInCalendarISOWeeks },
  { most: RULE.months, called: (at) => format(at, 'yyyy-MM'), ago: differenceInCalendarMonths },
];

/** The newest copy of each span that is recent enough. */
function newestOf(copies: readonly RuledCopy[], { most, called, ago }: Span, now: Date): string[] {
  const newest = new Map<string, RuledCopy>();
  for (const copy of copies) {
    const at = new Date(copy.at);
    if (ago(now, at) >= most) continue;
    const known = newest.get(called(at));
    if (!known || known.at < copy.at) newest.set(called(at), copy);
  }
  return [...newest.values()].map(({ name }) => name);
}

/** Names of copies that stay: by the rule, and the newest one in any case. */
export function staysByRule(copies: readonly RuledCopy[], now: Date): ReadonlySet<string> {
  const [newest] = [...copies].sort((a, b) => (a.at < b.at ? 1 : -1));
  const byRule = SPANS.flatMap((span) => newestOf(copies, span, now));
  return new Set(newest ? [newest.name, ...byRule] : byRule);
}

/** Whether a copy was made on the day of a moment, by the clock of this place. */
export const isOfDay = ({ at }: Pick<RuledCopy, 'at'>, now: Date): boolean =>
  differenceInCalendarDays(now, new Date(at)) === 0;
