import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { withPoint, type CurvePoint } from '#core/oven';
import type { BakedItemDto } from '#contract/ovens';
import { followWindows } from './quietly.js';

/** How pieces are to be baked together. */
export interface ToBake {
  readonly celsius: number;
  /** at the least */
  readonly low: number;
  readonly maxC: number;
  readonly minutes: number;
}

/** What is in the oven. */
export interface InOven extends ToBake {
  readonly id: string;
  readonly ovenId: string;
  readonly ovenName: string;
  /** where the dial is set; null: nobody said */
  readonly dial: number | null;
  /** minutes after which it stood there */
  readonly dialFrom: number;
  readonly items: readonly BakedItemDto[];
  /** ms since 1970 */
  readonly startedAt: number;
  /** ms that the clock of the probe is ahead of it; null: no probe was heard yet */
  readonly probeAhead: number | null;
  readonly curve: readonly CurvePoint[];
}

interface Baking {
  /** null: the oven is empty */
  readonly load: InOven | null;
  readonly putIn: (load: Omit<InOven, 'id' | 'startedAt' | 'probeAhead' | 'curve' | 'dialFrom'>, now: number) => void;
  readonly setDial: (dial: number) => void;
  /** a reading that can be true; `at` and `now`: ms since 1970, by the probe's clock and by this one */
  readonly hear: (at: number, celsius: number, now: number) => void;
  readonly takeOut: () => void;
}

const MINUTE = 60_000;

function heard(load: InOven, at: number, celsius: number, now: number): InOven {
  const probeAhead = load.probeAhead ?? at - now;
  const minutes = (at - probeAhead - load.startedAt) / MINUTE;
  if (minutes < 0) return load;
  return { ...load, probeAhead, curve: withPoint(load.curve, { at: minutes, celsius }) };
}

/** What is in the oven, with the curve of its probe: it survives a reload, and is read again in another window. */
export const useBaking = create<Baking>()(
  persist(
    (set) => ({
      load: null,
      putIn: (load, now) => {
        set({ load: { ...load, id: crypto.randomUUID(), startedAt: now, probeAhead: null, curve: [], dialFrom: 0 } });
      },
      setDial: (dial) => {
        set(({ load }) => ({ load: load && { ...load, dial, dialFrom: load.curve.at(-1)?.at ?? 0 } }));
      },
      hear: (at, celsius, now) => {
        set(({ load }) => (load ? { load: heard(load, at, celsius, now) } : {}));
      },
      takeOut: () => {
        set({ load: null });
      },
    }),
    { name: 'sledge-oven' },
  ),
);

followWindows(useBaking, 'sledge-oven');

/** Minutes that it has been in the oven: by the probe's clock where one is heard. */
export function minutesIn({ startedAt, curve }: Pick<InOven, 'startedAt' | 'curve'>, now: number): number {
  return Math.max(0, curve.at(-1)?.at ?? (now - startedAt) / MINUTE);
}
