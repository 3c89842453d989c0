import type { Stage, Step } from '#core/cane';
import { showLength, type UnitSystem } from '#core/units';
import type { FaceSize } from '../../../workers/canePlain.js';

/** A cane is held and reduced when it is at least so long for its width, or so many mm: assumptions. */
const [HELD, LONG_ENOUGH] = [0.5, 40];

/** A cane before a reduction that is too short for hands. */
export interface Stubby {
  /** the place of the reduction */
  readonly at: number;
  readonly across: number;
  readonly length: number;
}

/** The shortest of the canes that are to be reduced and cannot be held; null where there is none. */
export function stubbyIn(steps: readonly Step[], sizes: readonly FaceSize[], stages: readonly Stage[]): Stubby | null {
  const found = steps.flatMap((step, at): Stubby[] => {
    const [size, stage] = [sizes[at - 1], stages[at - 1]];
    if (step.do !== 'reduce' || !size || !stage) return [];
    const short = stage.length < Math.min(LONG_ENOUGH, HELD * size.across);
    return short ? [{ at, across: size.across, length: stage.length }] : [];
  });
  return found.sort((a, b) => a.length - b.length)[0] ?? null;
}

export const stubbyWords = ({ at, across, length }: Stubby, units: UnitSystem): string =>
  `Before step ${at + 1} it is ${showLength(across, units)} across and ${showLength(length, units)} long: too short ` +
  'to be held and reduced. Begin it smaller, or make more slices of it.';
