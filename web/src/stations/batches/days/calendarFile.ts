import { createEvents, type EventAttributes } from 'ics';
import type { DaysPlan } from '#core/days';
import { dateOf } from './clock.js';

type Stamp = [number, number, number, number, number];

/** A moment of a plan in universal time, as iCalendar writes it. */
function stampOf(at: number): Stamp {
  const date = dateOf(Math.round(at));
  return [date.getUTCFullYear(), date.getUTCMonth() + 1, date.getUTCDate(), date.getUTCHours(), date.getUTCMinutes()];
}

/**
 * The days as an iCalendar file (RFC 5545): one event for each stretch of work, with its batch.
 * @param nameOf a batch by its id
 * @returns null where there is nothing to write
 */
export function calendarOf({ jobs }: DaysPlan, nameOf: (batchId: string) => string): string | null {
  const events = jobs.flatMap(({ job, slots }) =>
    slots
      .filter((s) => s.to > s.from)
      .map((slot, i): EventAttributes => ({
        uid: `${slot.jobId.replace(/\s+/g, '-')}-${i}@sledge`,
        title: `${nameOf(job.batchId)}: ${job.name}`,
        start: stampOf(slot.from),
        startInputType: 'utc',
        startOutputType: 'utc',
        end: stampOf(Math.max(slot.to, slot.from + 1)),
        endInputType: 'utc',
        endOutputType: 'utc',
        productId: 'sledge',
        description: slot.need === 'oven' ? 'The oven is on: stay near.' : '',
      })),
  );
  if (events.length === 0) return null;
  const { value } = createEvents(events);
  return value ?? null;
}
