import type { StartColours } from '#core/cane';
import type { PatternStep } from '#core/pattern/steps';

export interface PatternPoint {
  readonly id: string;
  readonly name: string;
  /** what it is, and how hands make it */
  readonly words: string;
  readonly steps: (colours: StartColours) => readonly PatternStep[];
}

export type Loose = PatternStep extends infer S ? (S extends { readonly id: string } ? Omit<S, 'id'> : never) : never;
/** Steps with ids of their own. */
export const ids = (steps: readonly Loose[]): PatternStep[] =>
  steps.map((step, i) => ({ ...step, id: `s${i + 1}` }) as PatternStep);
