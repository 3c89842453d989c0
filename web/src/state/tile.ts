import { create } from 'zustand';
import { persist } from 'zustand/middleware';

/** A mix that is carried from station to station. */
export interface Carried { readonly mixId: string; readonly revisionId: string; readonly name: string; readonly hex: string }

interface Tile {
  readonly carried: readonly Carried[];
  readonly put: (item: Carried) => void;
  readonly drop: (mixId: string) => void;
}

const MOST = 6;

export const useTile = create<Tile>()(persist((set) => ({
  carried: [],
  put: (item) => { set((s) => ({ carried: [item, ...s.carried.filter((c) => c.mixId !== item.mixId)].slice(0, MOST) })); },
  drop: (mixId) => { set((s) => ({ carried: s.carried.filter((c) => c.mixId !== mixId) })); },
}), { name: 'sledge-tile' }));
