import { create } from 'zustand';
import { persist } from 'zustand/middleware';

/** How far something has come at the bench, and what was counted in each of its steps. */
export interface BenchPlace {
  readonly at: number;
  readonly counts: readonly number[];
}

interface Places {
  readonly places: Readonly<Record<string, BenchPlace>>;
  readonly go: (what: string, to: BenchPlace) => void;
  readonly leave: (what: string) => void;
}

/** Places at the bench that are kept: of the oldest nobody knows any more what they were. */
const MOST = 40;
const BEGINNING: BenchPlace = { at: 0, counts: [] };

const usePlaces = create<Places>()(
  persist(
    (set) => ({
      places: {},
      go: (what, to) => {
        set(({ places }) => ({
          places: Object.fromEntries(
            [...Object.entries(places).filter(([key]) => key !== what), [what, to] as const].slice(-MOST),
          ),
        }));
      },
      leave: (what) => {
        set(({ places }) => ({ places: Object.fromEntries(Object.entries(places).filter(([key]) => key !== what)) }));
      },
    }),
    { name: 'sledge-bench-places' },
  ),
);

/** The place of one thing at the bench of this machine: it stays through a reload, until it is left. */
export function useBenchPlace(
  what: string,
): BenchPlace & { readonly go: (to: BenchPlace) => void; readonly leave: () => void } {
  const place = usePlaces((s) => s.places[what]) ?? BEGINNING;
  const { go, leave } = usePlaces();
  return {
    ...place,
    go: (to) => {
      go(what, to);
    },
    leave: () => {
      leave(what);
    },
  };
}
