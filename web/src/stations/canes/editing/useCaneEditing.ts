import { asName } from '../../../parts/names.js';
import { useState } from 'react';
import { PROGRAM_VERSION, type Do, type Step } from '#core/cane';
import { keyOf, ofBlend, ofClay } from '#core/material';
import type { BlendCard, CaneAnswer, CaneDto, ShelfAnswer } from '#contract';
import { put } from '../../../wire/save.js';
import type { PlainStep } from '../../../workers/canePlain.js';
import { withOneSlice } from './oneSlice.js';
import { stepsAt, withSteps, type Path } from './parts.js';
import { addedTo, copiedIn, editedIn, movedIn, takenOut, type Row } from './rowMoves.js';
import { newStep } from '../steps/index.js';

/** A cane as it is sent. */
export const sentCane = (cane: CaneAnswer): CaneDto => {
  const { id, version, name, note, retired, program, slices, sliceMm, trimming, ends } = cane;
  return { id, version, name, note, retired, program, slices, sliceMm, trimming, ends: ends ?? null };
};

/** The other one of a pair: left and right exchanged. */
export const twinOf = (cane: CaneAnswer): CaneDto => ({
  ...sentCane(cane),
  id: crypto.randomUUID(),
  version: 0,
  name: asName(`${cane.name}, twin`),
  retired: false,
  program: {
    ...cane.program,
    version: PROGRAM_VERSION,
    steps: [
      { id: crypto.randomUUID(), do: 'cane', part: { ref: cane.revisionId, name: cane.name } },
      { id: crypto.randomUUID(), do: 'mirror' },
    ],
  },
});

export interface CaneEditing {
  /** the steps that are shown: of the cane, or of a part of its own that was opened */
  readonly steps: readonly Step[];
  readonly path: Path;
  readonly at: number;
  readonly adding: boolean;
  readonly save: (part: Partial<CaneDto>) => void;
  readonly choose: (at: number) => void;
  /** opens a part of the chosen step; nothing: back to the cane */
  readonly open: (part?: number) => void;
  readonly edit: (step: Step) => void;
  readonly setAdding: (adding: boolean) => void;
  readonly add: (kind: Do, now: PlainStep | null, shelf: ShelfAnswer, blends: readonly BlendCard[]) => void;
  readonly move: (by: number) => void;
  readonly copy: () => void;
  readonly remove: () => void;
}

/** Two opaque clays of the shelf and a blend, for a step that is new. */
function usualClays(shelf: ShelfAnswer, blends: readonly BlendCard[]): Parameters<typeof newStep>[2] {
  const plain = shelf.clays.filter((c) => !c.retired && c.kind === 'opaque');
  const [light, dark] = [plain[0]?.id ?? '', plain[1]?.id ?? plain[0]?.id ?? ''];
  const [blend] = blends;
  return {
    light: keyOf(ofClay(light)),
    dark: keyOf(ofClay(dark)),
    blend: blend ? keyOf(ofBlend(blend.revisionId)) : null,
  };
}

/** The row of steps under the hand: what is chosen in it, and every change of it saved. */
export function useCaneEditing(cane: CaneAnswer): CaneEditing {
  const [wanted, setPath] = useState<Path>([]);
  const [chosen, setChosen] = useState(cane.program.steps.length - 1);
  const [adding, setAdding] = useState(false);
  const whole = cane.program.steps;
  const inside = stepsAt(whole, wanted);
  const [steps, path] = inside ? [inside, wanted] : [whole, []];
  const at = Math.min(chosen, steps.length - 1);
  const row: Row<Step> = { steps, chosen: at };
  const save = (change: Partial<CaneDto>): void => {
    const part = withOneSlice(cane, change);
    void put<CaneDto>(`/api/canes/${cane.id}`, { ...sentCane(cane), ...part }, { ...cane, ...part });
  };
  const keep = (next: Row<Step> | null): void => {
    if (!next) return;
    save({ program: { ...cane.program, steps: [...withSteps(whole, path, next.steps)] } });
    setChosen(next.chosen);
  };
  return {
    steps,
    path,
    at,
    adding,
    save,
    choose: setChosen,
    setAdding,
    open: (part) => {
      setPath(part === undefined ? [] : [...path, { step: at, part }]);
      if (part !== undefined) setChosen(0);
    },
    edit: (step) => {
      keep(editedIn(row, step));
    },
    add: (kind, now, shelf, blends) => {
      setAdding(false);
      keep(addedTo(row, newStep(kind, now, usualClays(shelf, blends))));
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
  };
}
