import { handMinutes } from '#core/piece';
import type { Minutes } from '#core/units';
import type { BenchStep } from './benchStep.js';
import { NOTHING_LEARNED, type LearnedTimes } from './learnTimes.js';

/** What a step takes: minutes of hands, minutes in the oven, and minutes it is left alone before one goes on. */
export interface StepTime {
  readonly hands: Minutes;
  readonly oven: Minutes;
  readonly waits: Minutes;
}
type StepKind = BenchStep['kind'];

/** Minutes once for a step, and for each of what it is done to, until the bench has counted some: assumptions. */
const USUAL_MINUTES = {
  ready: { once: 3, each: 0 },
  mix: { once: 6, each: 0 },
  roll: { once: 1, each: 3 },
  stack: { once: 0, each: 2 },
  cut: { once: 1, each: 0.25 },
  clean: { once: 4, each: 0 },
  shape: { once: 2, each: 0.4 },
  /** small balls that are cut of a snake */
  small: { once: 3, each: 0.05 },
  /** a slice that is laid on a core */
  slice: { once: 3, each: 0.3 },
  /** a part that is laid on a piece */
  assemble: { once: 2, each: 0.25 },
  bake: { once: 4, each: 0 },
} as const;
/** Minutes until an oven is as warm as it should be: an assumption, until its own readings say so. */
const USUAL_WARMING: Minutes = 12;

const HOUR: Minutes = 60;
const byHand = ({ once, each }: { readonly once: number; readonly each: number }, count: number): StepTime => ({
  hands: once + each * count,
  oven: 0,
  waits: 0,
});

function shaping(step: Extract<BenchStep, { kind: 'shape' }>): StepTime {
  if (step.slices !== null) return byHand(USUAL_MINUTES.slice, step.slices * step.count);
  return byHand(step.balls ? USUAL_MINUTES.small : USUAL_MINUTES.shape, step.count);
}

type Timing = { readonly [K in StepKind]: (step: Extract<BenchStep, { kind: K }>) => StepTime };

const TIMES: Timing = {
  condition: ({ how }) => byHand({ once: how.minutes, each: 0 }, 0),
  ready: () => byHand(USUAL_MINUTES.ready, 0),
  mix: () => byHand(USUAL_MINUTES.mix, 0),
  roll: ({ sheets, more }) =>
    byHand(
      USUAL_MINUTES.roll,
      more.reduce((sum, m) => sum + m.sheets, sheets),
    ),
  stack: ({ sheets }) => byHand(USUAL_MINUTES.stack, sheets),
  cut: ({ count }) => byHand(USUAL_MINUTES.cut, count),
  shape: shaping,
  clean: () => byHand(USUAL_MINUTES.clean, 0),
  assemble: ({ count, parts }) => byHand(USUAL_MINUTES.assemble, count * parts.reduce((sum, p) => sum + p.count, 0)),
  bake: ({ minutes, times }) => ({
    hands: USUAL_MINUTES.bake.once * times,
    oven: USUAL_WARMING + minutes * times,
    waits: 0,
  }),
  finish: ({ step, count }) => ({ hands: handMinutes(step, count), oven: 0, waits: step.hours * HOUR }),
};

/** What kind of handwork a step is, for what the bench teaches. */
export function timeKey(step: BenchStep): string {
  if (step.kind === 'finish') return step.step.kind;
  if (step.kind !== 'shape') return step.kind;
  if (step.slices !== null) return 'lay slices';
  return step.balls ? 'small balls' : 'shape';
}

/** What a step takes, for all pieces that it is done to; its handwork as these hands are known to take it. */
export function timeOf(step: BenchStep, learned: LearnedTimes = NOTHING_LEARNED): StepTime {
  const time = (TIMES[step.kind] as (s: BenchStep) => StepTime)(step);
  return { ...time, hands: time.hands * (learned.get(timeKey(step))?.factor ?? 1) };
}

/** Ids of the kinds of pieces that a step is done for; none where it is done for all of the batch. */
export function piecesOfStep(step: BenchStep): readonly string[] {
  return 'pieceId' in step ? [step.pieceId] : [];
}
