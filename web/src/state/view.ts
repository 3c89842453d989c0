import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import type { Ask } from '#core/begin';
import type { UnitSystem } from '#core/units';

export const PAPERS = ['A5', 'A4', 'Letter'] as const;
export type Paper = (typeof PAPERS)[number];

/** What a screen of 96 dots an inch has: until somebody has held a card against it. */
export const USUAL_PX_PER_MM = 96 / 25.4;

/** How this person looks at things. It changes no data, so it stays in the browser. */
interface View {
  readonly units: UnitSystem;
  readonly lamp: boolean;
  readonly paper: Paper;
  /** the weight a mix is worked out for */
  readonly mixGrams: number;
  /** mm across that scrap is counted in cores of */
  readonly coreMm: number;
  /** px that a millimetre has on this screen */
  readonly pxPerMm: number;
  /** canes and blends that clay is bought for beside the batches, by their ids */
  readonly buyFor: readonly string[];
  /** what is asked for in the first hour, and was put off */
  readonly later: readonly Ask[];
  /** words of the trade that were explained */
  readonly told: readonly string[];
  readonly putOff: (asks: readonly Ask[]) => void;
  readonly tell: (word: string) => void;
  readonly setBuyFor: (canes: readonly string[]) => void;
  readonly setPxPerMm: (pxPerMm: number) => void;
  readonly setCoreMm: (coreMm: number) => void;
  readonly setMixGrams: (grams: number) => void;
  readonly turnUnits: () => void;
  readonly turnLamp: () => void;
  readonly choosePaper: (paper: Paper) => void;
}

export const useView = create<View>()(
  persist(
    (set) => ({
      units: 'metric',
      lamp: false,
      paper: 'A5',
      mixGrams: 40,
      coreMm: 12,
      pxPerMm: USUAL_PX_PER_MM,
      buyFor: [],
      later: [],
      told: [],
      putOff: (later) => {
        set({ later });
      },
      tell: (word) => {
        set(({ told }) => (told.includes(word) ? {} : { told: [...told, word] }));
      },
      setBuyFor: (buyFor) => {
        set({ buyFor });
      },
      setPxPerMm: (pxPerMm) => {
        set({ pxPerMm });
      },
      setCoreMm: (coreMm) => {
        set({ coreMm });
      },
      setMixGrams: (mixGrams) => {
        set({ mixGrams });
      },
      turnUnits: () => {
        set((s) => ({ units: s.units === 'metric' ? 'imperial' : 'metric' }));
      },
      turnLamp: () => {
        set((s) => ({ lamp: !s.lamp }));
      },
      choosePaper: (paper) => {
        set({ paper });
      },
    }),
    {
      name: 'sledge-view',
      partialize: ({ units, paper, mixGrams, coreMm, pxPerMm, later, told }) => ({
        ...{ units, paper, mixGrams, coreMm, pxPerMm, later, told },
      }),
    },
  ),
);

export const useUnits = (): UnitSystem => useView((s) => s.units);
