import type { Minutes } from '#core/units';

/** A step that was done: which kind, what is assumed of it, and what it took. */
export interface StepTaken {
  readonly key: string;
  readonly usual: Minutes;
  readonly minutes: Minutes;
}

/** How much longer than assumed a kind of step takes these hands, and from how many that is known. */
export interface LearnedTime {
  readonly factor: number;
  readonly from: number;
}

/** By the keys of kinds of steps. */
export type LearnedTimes = ReadonlyMap<string, LearnedTime>;
export const NOTHING_LEARNED: LearnedTimes = new Map<string, LearnedTime>();

/** Outside of these times of what is assumed somebody tapped on, or left the bench. */
const [TAPPED, LEFT] = [0.1, 8] as const;
/** How far single steps are off each other, how far hands are off what is assumed (ln): assumptions. */
const [EACH, HANDS] = [0.4, 0.5] as const;
/** Further off than that, in such spreads, one counts less (P. J. Huber). */
const ROBUST = 1.5;
const ROUNDS = 12;

/** Whether what the clock says can be what the hands took. */
export const canBe = ({ usual, minutes }: Omit<StepTaken, 'key'>): boolean =>
  usual > 0 && minutes > usual * TAPPED && minutes < usual * LEFT;

/** The middle of some logarithms, drawn towards none at all, far ones counting less. */
function middleOf(logs: readonly number[]): number {
  let middle = 0;
  for (let round = 0; round < ROUNDS; round++) {
    const weights = logs.map((log) => Math.min(1, (ROBUST * EACH) / Math.abs(log - middle || 1e-9)));
    const [sum, all] = logs.reduce(([s, w], log, i) => [s + log * (weights[i] ?? 0), w + (weights[i] ?? 0)] as const, [
      0, 0,
    ] as readonly [number, number]);
    middle = sum / (all + (EACH / HANDS) ** 2);
  }
  return middle;
}

/** What the bench has taught: for each kind of step its minutes against those assumed, shrunk towards them, robust. */
export function learnTimes(taken: readonly StepTaken[]): LearnedTimes {
  const logs = new Map<string, number[]>();
  for (const { key, usual, minutes } of taken)
    if (canBe({ usual, minutes })) logs.set(key, [...(logs.get(key) ?? []), Math.log(minutes / usual)]);
  return new Map([...logs].map(([key, own]) => [key, { factor: Math.exp(middleOf(own)), from: own.length }] as const));
}
