import { useState } from 'react';
import { PATTERN_VERSION, type PatternDo, type PatternStep } from '#core/pattern';
import type { PatternAnswer, PatternDto, ShelfAnswer } from '#contract';
import { put } from '../../wire/save.js';
import type { PlainBody } from '../../workers/pattern.js';
import { coloursFor } from '../canes/beginnings.js';
import { addedTo, copiedIn, editedIn, movedIn, takenOut, type Row } from '../canes/editing/rowMoves.js';
import { sentPattern } from './beginnings.js';
import { newStep } from './steps/index.js';

export interface PatternEditing {
  readonly steps: readonly PatternStep[];
  readonly at: number;
  readonly adding: boolean;
  readonly save: (part: Partial<PatternDto>) => void;
  readonly choose: (at: number) => void;
  readonly edit: (step: PatternStep) => void;
  readonly setAdding: (adding: boolean) => void;
  /** @param cane that slices are cut of at first */
  readonly add: (kind: PatternDo, now: PlainBody | null, shelf: ShelfAnswer, cane?: string) => void;
  readonly move: (by: number) => void;
  readonly copy: () => void;
  readonly remove: () => void;
  /** all of them at once, as they were before */
  readonly setSteps: (steps: readonly PatternStep[]) => void;
}

const NOTHING = { dark: '', light: '', strong: '' };

/** The row of steps under the hand: what is chosen in it, and every change of it saved. */
export function usePatternEditing(pattern: PatternAnswer): PatternEditing {
  const [chosen, setChosen] = useState(pattern.program.steps.length - 1);
  const [adding, setAdding] = useState(false);
  const { steps } = pattern.program;
  const at = Math.min(chosen, steps.length - 1);
  const row: Row<PatternStep> = { steps, chosen: at };
  const save = (part: Partial<PatternDto>): void => {
    void put<PatternDto>(`/api/patterns/${pattern.id}`, { ...sentPattern(pattern), ...part }, { ...pattern, ...part });
  };
  const keep = (next: Row<PatternStep> | null): void => {
    if (!next) return;
    save({ program: { version: PATTERN_VERSION, steps: [...next.steps] } });
    setChosen(next.chosen);
  };
  return {
    ...{ steps, at, adding, save, setAdding },
    choose: setChosen,
    edit: (step) => {
      keep(editedIn(row, step));
    },
    add: (kind, now, shelf, cane) => {
      setAdding(false);
      keep(addedTo(row, newStep(kind, now, { ...(coloursFor(shelf, [], []) ?? NOTHING), cane })));
    },
    move: (by) => {
      keep(movedIn(row, by));
    },
    copy: () => {
      keep(copiedIn(row));
    },
    remove: () => {
      keep(takenOut(row));
    },
    setSteps: (next) => {
      keep({ steps: next, chosen: Math.min(at, next.length - 1) });
    },
  };
}
