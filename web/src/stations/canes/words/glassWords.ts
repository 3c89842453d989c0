import { PROGRAM_VERSION, type Meant, type Program, type Step } from '#core/cane';
import { showLength, type UnitSystem } from '#core/units';
import type { Judged } from '../../../workers/cane.js';

export type Stop = NonNullable<Judged['stop']>;

/** What slices can be meant for. */
export const MEANINGS = [
  { value: 'ground', text: 'to lie on a ground' },
  { value: 'glass', text: 'as glass, against the light' },
] as const;
export type Meaning = (typeof MEANINGS)[number]['value'];

export const meaningOf = ({ meant }: Program): Meaning => meant ?? 'ground';

/** The cane with its slices meant for something else. */
export function meantFor({ steps }: Program, meaning: Meaning): Program {
  const meant: Meant | null = meaning === 'ground' ? null : meaning;
  return { version: PROGRAM_VERSION, steps, ...(meant && { meant }) };
}

/** Sizes nearer than this share of the stop line are on it. */
const ON_IT = 0.02;

/** Whether the cane stops before its walls bleed, where they begin to, or later. */
export function placeOf({ across, at }: Stop): 'before' | 'on' | 'past' {
  if (Math.abs(across / at - 1) < ON_IT) return 'on';
  return across > at ? 'before' : 'past';
}

/** Where the walls begin to bleed, and where the cane is by then. */
export function stopWords(stop: Stop, name: string, units: UnitSystem): string {
  const wall = `Walls of ${name} are ${showLength(stop.mm, units, true)} wide`;
  const line = `begin to bleed below ${showLength(stop.hides, units, true)}, at ${showLength(stop.at, units)} across`;
  const place = placeOf(stop);
  if (place === 'on') return `${wall}: they just ${line}. This is the stop line.`;
  if (place === 'before') return `${wall} and ${line}: the stop line is not reached yet.`;
  return `${wall}; they ${line}: this is past the stop line, and the tints run into each other.`;
}

/** The place of the last reduction to a size across; -1 where there is none at the end. */
const lastReduction = (steps: readonly Step[]): number => {
  const at = steps.findLastIndex(({ do: kind }) => kind !== 'trim' && kind !== 'slice');
  const step = steps[at];
  return step?.do === 'reduce' && step.to === 'diameter' ? at : -1;
};

/** To a tenth of a millimetre, so that it can be measured. */
const TENTHS = 10;

/**
 * The steps with the last reduction stopped where walls begin to bleed; null where there is none, or where the cane is
 * smaller than that before it. @param before mm across before each step
 */
export function stoppedAt(steps: readonly Step[], at: number, before: readonly number[]): Step[] | null {
  const last = lastReduction(steps);
  const value = Math.round(at * TENTHS) / TENTHS;
  if (last < 0 || value >= (before[last] ?? 0)) return null;
  return steps.map((step, i) => (i === last && step.do === 'reduce' ? { ...step, value } : step));
}
