import { learnedOf, type LearnedFigure } from '#core/learned';
import type { Minutes } from '#core/units';

/** A step that was done: which kind, what is assumed of it, and what it took. */
export interface StepTaken {
  readonly key: string;
  readonly usual: Minutes;
  readonly minutes: Minutes;
}

/** How much longer than assumed a kind of step takes these hands. */
export type LearnedTime = LearnedFigure;

/** By the keys of kinds of steps. */
export type LearnedTimes = ReadonlyMap<string, LearnedTime>;
export const NOTHING_LEARNED: LearnedTimes = new Map<string, LearnedTime>();

/** Outside of these times of what is assumed somebody tapped on, or left the bench. */
const [TAPPED, LEFT] = [0.1, 8] as const;
/** How far single steps are off each other, how far hands are off what is assumed (ln): assumptions. */
const TRUST = { each: 0.4, bench: 0.5 };

/** Whether what the clock says can be what the hands took. */
export const canBe = ({ usual, minutes }: Omit<StepTaken, 'key'>): boolean =>
  usual > 0 && minutes > usual * TAPPED && minutes < usual * LEFT;

/** What the bench has taught: for each kind of step its minutes against those assumed, whatever odd days there were. */
export function learnTimes(taken: readonly StepTaken[]): LearnedTimes {
  const ratios = new Map<string, number[]>();
  for (const { key, usual, minutes } of taken)
    if (canBe({ usual, minutes })) ratios.set(key, [...(ratios.get(key) ?? []), minutes / usual]);
  return new Map([...ratios].map(([key, own]) => [key, learnedOf(own, TRUST)] as const));
}
