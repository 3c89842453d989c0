export { whatFits, type Fitting } from './fits.js';
export { freeWindows, type CalendarDay, type DayHours, type FreeRule } from './freeHours.js';
export { tooLong, whatHelps, type HelpingChange } from './helps.js';
export { bestSchedule } from './improve.js';
export {
  handsOf,
  lengthOf,
  type DaysProblem,
  type DueBatch,
  type Instant,
  type Job,
  type Move,
  type Phase,
  type Slot,
  type Window,
} from './job.js';
export { jobsOf, type BatchJob, type JobKind } from './jobsOf.js';
export { networkIn, planDays, type DaysPlan, type PlannedBatch, type PlannedJob } from './plan.js';
export { brokenRules, type Broken } from './rules.js';
export { orderBy, schedule, type Scheduled } from './schedule.js';
