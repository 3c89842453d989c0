import type { MadeForm } from '#contract';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';

/** A mix, a blend or a made sheet that is carried from station to station. */
export interface Carried {
  readonly kind: 'mix' | 'blend' | 'sheet';
  readonly id: string;
  readonly name: string;
  /** one colour, or those along a fade */
  readonly hexes: readonly string[];
  /** of a mix, the recipe of the day it was put here */
  readonly revisionId: string | null;
  /** of a thing that lies there */
  readonly form?: MadeForm;
}
export interface CarriedMix extends Carried {
  readonly kind: 'mix';
  readonly revisionId: string;
}
export const isMix = (item: Carried): item is CarriedMix => item.kind === 'mix' && item.revisionId !== null;

interface Tile {
  readonly carried: readonly Carried[];
  readonly put: (item: Carried) => void;
  readonly drop: (id: string) => void;
}

const MOST = 6;

interface CarriedBefore {
  readonly mixId: string;
  readonly revisionId: string;
  readonly name: string;
  readonly hex: string;
}

export const useTile = create<Tile>()(
  persist<Tile, [], [], Pick<Tile, 'carried'>>(
    (set) => ({
      carried: [],
      put: (item) => {
        set((s) => ({ carried: [item, ...s.carried.filter((c) => c.id !== item.id)].slice(0, MOST) }));
      },
      drop: (id) => {
        set((s) => ({ carried: s.carried.filter((c) => c.id !== id) }));
      },
    }),
    {
      name: 'sledge-tile',
      version: 1,
      partialize: ({ carried }) => ({ carried }),
      // once it held mixes alone
      migrate: (kept) => ({
        carried: (kept as { carried: CarriedBefore[] }).carried.map(({ mixId, revisionId, name, hex }): Carried => ({
          kind: 'mix',
          id: mixId,
          revisionId,
          name,
          hexes: [hex],
        })),
      }),
    },
  ),
);
