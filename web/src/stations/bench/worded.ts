import type { UnitSystem } from '#core/units';
import type { PlainStep } from '#contract';

/** A step at the bench in words: the same ones on the screen and on paper. */
export interface StepWords {
  readonly title: string;
  /** what to do, in the order to do it */
  readonly lines: readonly string[];
  /** the figure to read from a metre away, and what it counts */
  readonly figure: string;
  readonly of: string;
  readonly caution: string | null;
}

/** `A, B and C` */
export const listed = (names: readonly string[]): string =>
  names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names.at(-1) ?? ''}`;

/** How steps of a kind are said. */
export type Worded<K extends PlainStep['kind']> = (
  step: Extract<PlainStep, { kind: K }>,
  units: UnitSystem,
) => StepWords;
