import { benchMachine } from '../../state/bench.js';
import { useCallback, useDeferredValue, useRef, useState } from 'react';
import type { Mixable } from '#core/material';
import { attempt } from '#core/units';
import type { BlendAnswer, BlendDto, BlendPlanDto, MachineDto, MachinesAnswer, ShelfAnswer } from '#contract';
import { useTile } from '../../state/tile.js';
import { put, useRefusal } from '../../wire/save.js';
import type { Refused } from '../../wire/ask.js';
import { cutsOf, recoloured, relaid, resized, withoutColour } from './planMoves.js';
import { useBlend } from './useBlend.js';
import type { WorkedBlend } from './workedBlend.js';

/** A blend on the table: what it is, what is worked out of it, and what can be done with it. */
export interface BlendEditing {
  readonly blend: BlendAnswer;
  readonly machines: MachinesAnswer;
  readonly shelf: ShelfAnswer;
  /** the machine that is set up */
  readonly own: MachineDto | undefined;
  /** a sentence where it cannot be worked out */
  readonly worked: WorkedBlend | string;
  /** the same, a little later: what takes longer follows the hand at its own pace */
  readonly later: WorkedBlend | string;
  readonly refusal: Refused | undefined;
  readonly wrong: string | null;
  /** the cuts under the hand */
  readonly dragged: BlendPlanDto['cuts'] | null;
  /** the place whose colour is being picked */
  readonly picking: number | null;
  readonly pickAt: (at: number | null) => void;
  readonly save: (part: Partial<BlendDto>) => void;
  readonly replan: (part: Partial<BlendPlanDto>) => void;
  readonly relay: (part: Partial<BlendPlanDto>) => void;
  readonly resize: (width: number, height: number) => void;
  readonly pick: (of: Mixable) => void;
  readonly takeOut: (at: number) => void;
  readonly drag: (cuts: BlendPlanDto['cuts'] | null) => void;
  readonly drop: (cuts: BlendPlanDto['cuts']) => void;
  readonly compensate: () => void;
  readonly carry: () => void;
}

export function useBlendEditing(blend: BlendAnswer, machines: MachinesAnswer, shelf: ShelfAnswer): BlendEditing {
  const { plan } = blend;
  const own = benchMachine(machines);
  const [dragged, setDragged] = useState<BlendPlanDto['cuts'] | null>(null);
  const [picking, setPicking] = useState<number | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const path = `/api/blends/${blend.id}`;
  const worked = useBlend(blend, shelf, own, dragged);
  const toTile = useTile((s) => s.put);
  const save = (part: Partial<BlendDto>): void => {
    const { id, version, name, note, retired } = blend;
    void put<BlendDto>(path, { id, version, name, note, retired, plan, ...part }, { ...blend, ...part });
  };
  const latest = useRef(save);
  latest.current = save;
  const replan = useCallback(
    (part: Partial<BlendPlanDto>): void => {
      latest.current({ plan: { ...plan, ...part } });
    },
    [plan],
  );
  /** Saves a plan that is worked out, or says why there is none. */
  const savePlan = (work: () => BlendPlanDto): void => {
    const next = attempt(work, (complaint) => complaint.message);
    setWrong(typeof next === 'string' ? next : null);
    if (typeof next !== 'string') save({ plan: next });
  };
  return {
    ...{ blend, machines, shelf, own, worked, wrong, dragged, picking, save, replan },
    later: useDeferredValue(worked),
    refusal: useRefusal(path),
    pickAt: setPicking,
    drag: setDragged,
    relay: (part) => {
      savePlan(() => relaid(plan, part));
    },
    resize: (width, height) => {
      savePlan(() => resized(plan, width, height));
    },
    pick: (of) => {
      setPicking(null);
      savePlan(() => recoloured(plan, picking ?? plan.colours.length, of));
    },
    takeOut: (at) => {
      savePlan(() => withoutColour(plan, at));
    },
    drop: (cuts) => {
      setDragged(null);
      replan({ cuts, kind: 'free' });
    },
    compensate: () => {
      if (typeof worked !== 'string') replan({ kind: 'compensated', cuts: cutsOf(worked.compensated.layout) });
    },
    carry: () => {
      if (typeof worked === 'string') return;
      const hexes = worked.colours.map((c) => c.hex);
      toTile({ kind: 'blend', id: blend.id, name: blend.name, hexes, revisionId: null });
    },
  };
}
