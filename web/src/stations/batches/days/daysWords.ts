import type { Broken, HelpingChange, PlannedBatch } from '#core/days';
import { showMinutes } from '#core/units';
import type { DaysAnswer } from '#contract';
import { clockWords, dayWords, longDayWords, minuteOf, momentWords } from './clock.js';

const DAY = 1440;

/** `40 min`, `2 days`. */
export const spanWords = (minutes: number): string => {
  const days = Math.round(minutes / DAY);
  return minutes >= 2 * DAY ? `${days} days` : showMinutes(minutes);
};

/** What a kind of step takes these hands, against what is assumed of any. */
export const handsWords = ({ key, factor, from }: DaysAnswer['learned'][number]): string =>
  `${key} ${factor.toFixed(1)} times as long as assumed (${from === 1 ? 'once' : `${from} times`})`;

/** How a batch comes out, in one sentence. */
export function outcomeWords({ ready, late, latest }: PlannedBatch, due: number | null): string {
  if (ready === null) return 'There is no room for all of it in these hours.';
  if (late > 0) return `Ready ${momentWords(ready)}: ${spanWords(late)} late.`;
  if (due === null) return `Ready ${momentWords(ready)}.`;
  return latest === null
    ? `Ready ${momentWords(ready)}, in time.`
    : `Begin by ${longDayWords(latest)}, ${clockWords(minuteOf(latest))}.`;
}

type Named = (id: string) => string;

/** A single change that helps, in words. @param pieces how many pieces the batch has */
export function helpWords(change: HelpingChange, jobCalled: Named, pieces: number): string {
  switch (change.kind) {
    case 'fewer':
      return `${Math.max(1, Math.floor(pieces * change.share))} instead of ${pieces} fit`;
    case 'without':
      return `without “${jobCalled(change.jobId)}” it fits`;
    case 'hour':
      return `${showMinutes(change.minutes)} more on ${dayWords(change.at)} is enough`;
    case 'later':
      return `or a day ${spanWords(change.minutes)} later`;
  }
}

const RULES: Readonly<Record<Broken['rule'], (other: string) => string>> = {
  order: (other) => `comes before “${other}” is done and has rested`,
  hands: (other) => `is at the same time as “${other}”: there is one pair of hands`,
  oven: (other) => `is in the oven at the same time as “${other}”`,
  'free hours': () => 'lies outside the free hours',
  length: () => 'is shorter there than it takes',
  'before now': () => 'lies in the past',
};

/** What a job that was put somewhere breaks. */
export const brokenWords = ({ jobId, rule, other }: Broken, jobCalled: Named): string =>
  `${jobCalled(jobId)} ${RULES[rule](other === null ? '' : jobCalled(other))}.`;
