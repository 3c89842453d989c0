import { create } from 'zustand';
import type { PlainStep } from '#contract';

/** What to take care of, said where it applies, once a session. */
export const CAUTIONS = {
  hands: 'Hands: take breaks, and let the machine do long conditioning.',
  food: 'Tools and machines that have touched raw clay do not go back to food.',
  blades: 'Long blades: mark the blunt edge, cut downwards, keep them in a guard.',
  oven: 'Never a microwave. Hot trays: gloves, and a place where they can stand.',
  solvents: 'Solvents and alcohol burn: away from the oven, with air and gloves.',
  children: 'Small parts are no toys: keep them, and the bench, from small children.',
} as const;
export type CautionKind = keyof typeof CAUTIONS;

/** Long conditioning strains the hands, min. */
const LONG = 15;

/** The caution that a step brings; null: none, or it says its own. */
export function cautionFor(step: PlainStep): CautionKind | null {
  switch (step.kind) {
    case 'condition':
      return step.how.minutes > LONG ? 'hands' : null;
    case 'roll':
      return 'food';
    case 'cut':
      return 'blades';
    case 'bake':
      return 'oven';
    case 'clean':
      return 'solvents';
    case 'finish':
      return step.step.kind === 'card' ? 'children' : null;
    default:
      return null;
  }
}

interface Said {
  /** at which step each was said; it stays there and is said nowhere else */
  readonly at: Readonly<Partial<Record<CautionKind, string>>>;
  readonly say: (kind: CautionKind, step: string) => void;
}

/** Cautions that were said since the page was opened. */
export const useSaidCautions = create<Said>()((set) => ({
  at: {},
  say: (kind, step) => {
    set(({ at }) => (at[kind] === undefined ? { at: { ...at, [kind]: step } } : { at }));
  },
}));
