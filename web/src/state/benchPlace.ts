import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { followWindows } from './quietly.js';

/** How far something has come at the bench, and what was counted in each of its steps. */
export interface BenchPlace {
  readonly at: number;
  readonly counts: readonly number[];
  /** ms since 1970 at which its step was begun; left out: nobody looked */
  readonly since?: number;
  /** minutes that each step took so far, by its number */
  readonly took?: Readonly<Record<number, number>>;
}

interface Places {
  readonly places: Readonly<Record<string, BenchPlace>>;
  readonly go: (what: string, to: BenchPlace) => void;
  readonly leave: (what: string) => void;
}

/** Places at the bench that are kept: of the oldest nobody knows any more what they were. */
const MOST = 40;
const BEGINNING: BenchPlace = { at: 0, counts: [] };
const MINUTE = 60_000;

/** Places of this window's maker, by what is made; other devices hear of them. */
export const useBenchPlaces = create<Places>()(
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

followWindows(useBenchPlaces, 'sledge-bench-places');

/** The place of one thing at the bench: it stays through a reload, until it is left. */
export function useBenchPlace(
  what: string,
): BenchPlace & { readonly go: (to: BenchPlace) => void; readonly leave: () => void } {
  const place = useBenchPlaces((s) => s.places[what]) ?? BEGINNING;
  const { go, leave } = useBenchPlaces();
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

/** Steps that something has at the bench which was begun there; null where it was not. */
export const usePlaceOf = (what: string): number | null => useBenchPlaces((s) => s.places[what]?.at ?? null);

/** The clock of a step runs while its bench is looked at. @returns the way to stop it */
export function runClock(what: string): () => void {
  const { places, go } = useBenchPlaces.getState();
  go(what, { ...(places[what] ?? BEGINNING), since: Date.now() });
  return () => {
    const place = useBenchPlaces.getState().places[what];
    if (place) go(what, stopped(wentTo(place, place.at, Date.now())));
  };
}

const stopped = ({ since: _, ...place }: BenchPlace): BenchPlace => place;

/** Another step, begun now; the minutes of the one before are added to what it took. */
export function wentTo(place: BenchPlace, at: number, now: number): BenchPlace {
  const { since, took = {} } = place;
  const spent = since === undefined ? 0 : Math.max(0, now - since) / MINUTE;
  return {
    at,
    counts: place.at === at ? place.counts : [],
    since: now,
    took: { ...took, [place.at]: (took[place.at] ?? 0) + spent },
  };
}
