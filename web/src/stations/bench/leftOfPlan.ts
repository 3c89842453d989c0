import type { PlanAnswer } from '#contract';
import type { LeftPlanned } from '../../parts/leftOver.js';
import { UNKNOWN_HEX } from '../../theme/grey.js';
import { listed } from './stepWords.js';

type Plan = Pick<PlanAnswer, 'left' | 'materials'>;

const UNKNOWN = { name: 'what lay there', hex: UNKNOWN_HEX };

/** What a batch leaves over, in words: between the cuts, and of mixes that the discs made too much of. */
export function leftOfPlan(plan: Plan): LeftPlanned[] {
  return plan.left
    .filter(({ parts }) => parts.length > 0)
    .map(({ why, parts }) => {
      const looks = parts.map(({ of }) => plan.materials[of.id] ?? UNKNOWN);
      const name = listed([...new Set(looks.map((l) => l.name))]);
      return {
        name: why === 'cut' ? `${name}, between the cuts` : `${name}, mixed too much`,
        hexes: looks.map((l) => l.hex),
        parts: parts.map(({ of, grams }) => ({ of, grams })),
      };
    });
}
