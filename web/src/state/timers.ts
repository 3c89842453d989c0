import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { followWindows } from './quietly.js';

/** Something that is waited for: what, and when it is over. */
export interface Timer {
  readonly id: string;
  readonly label: string;
  /** ms since 1970: it goes on while the window is shut */
  readonly endsAt: number;
  /** it has rung */
  readonly rung: boolean;
}

interface Timers {
  readonly timers: readonly Timer[];
  readonly start: (label: string, minutes: number, now: number) => void;
  readonly ring: (id: string) => void;
  readonly stop: (id: string) => void;
}

/** Timers that run at once at the most. */
export const MOST_TIMERS = 12;
const MINUTE = 60_000;

/** Timers of this window's maker: they survive a reload, and are read again when another window changes them. */
export const useTimers = create<Timers>()(
  persist(
    (set) => ({
      timers: [],
      start: (label, minutes, now) => {
        const timer: Timer = { id: crypto.randomUUID(), label, endsAt: now + minutes * MINUTE, rung: false };
        set(({ timers }) => ({ timers: [...timers, timer].slice(-MOST_TIMERS) }));
      },
      ring: (id) => {
        set(({ timers }) => ({ timers: timers.map((t) => (t.id === id ? { ...t, rung: true } : t)) }));
      },
      stop: (id) => {
        set(({ timers }) => ({ timers: timers.filter((t) => t.id !== id) }));
      },
    }),
    { name: 'sledge-timers' },
  ),
);

followWindows(useTimers, 'sledge-timers');

const SECOND = 1000;

/** `39:58`, or `23 h 59 min` of what is left; nothing where it is over. */
export function leftWords(ms: number): string {
  if (ms <= 0) return '0:00';
  const seconds = Math.ceil(ms / SECOND);
  const minutes = Math.floor(seconds / 60);
  if (minutes < 100) return `${minutes}:${String(seconds % 60).padStart(2, '0')}`;
  return `${Math.floor(minutes / 60)} h ${minutes % 60} min`;
}
