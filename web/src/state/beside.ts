import { create } from 'zustand';
import type { PatternStep } from '#core/pattern';

/** A state of a patterned sheet that was put beside it, to be compared. */
export interface PutBeside {
  readonly id: string;
  /** what was different about it */
  readonly words: string;
  readonly steps: readonly PatternStep[];
}

/** States that stand beside each other, at the most. */
export const MOST_BESIDE = 4;

interface Beside {
  /** by the patterned sheet */
  readonly all: Readonly<Record<string, readonly PutBeside[]>>;
  readonly put: (patternId: string, one: PutBeside) => void;
  readonly away: (patternId: string, id: string) => void;
}

/** What stands beside each patterned sheet, until the window is closed. */
export const useBeside = create<Beside>((set) => ({
  all: {},
  put: (patternId, one) => {
    set(({ all }) => ({ all: { ...all, [patternId]: [...(all[patternId] ?? []), one].slice(-MOST_BESIDE) } }));
  },
  away: (patternId, id) => {
    set(({ all }) => ({ all: { ...all, [patternId]: (all[patternId] ?? []).filter((o) => o.id !== id) } }));
  },
}));
