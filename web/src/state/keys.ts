import { useLayoutEffect, useRef } from 'react';
import { create } from 'zustand';

/** A key that does something here. `key` as the keyboard gives it: `z`, `Z`, `?`, ` `. */
export interface KeyBinding {
  readonly key: string;
  readonly does: string;
  readonly run: () => void;
  readonly hidden?: boolean;
}

interface Bound {
  readonly place: string;
  readonly bindings: readonly KeyBinding[];
}
interface Keys {
  readonly places: readonly Bound[];
  readonly set: (place: string, bindings: readonly KeyBinding[] | null) => void;
}

/** All keys of what is on the screen, for the list that `?` opens. */
export const useKeyList = create<Keys>()((set) => ({
  places: [],
  set: (place, bindings) => {
    set((s) => {
      const others = s.places.filter((p) => p.place !== place);
      return { places: bindings ? [...others, { place, bindings }] : others };
    });
  },
}));

const typing = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName));

/**
 * Keys that work anywhere in `place` while nobody is typing: from the moment it is on the screen, or a quick key
 * would go to the place before.
 */
export function useKeys(place: string, bindings: readonly KeyBinding[]): void {
  const latest = useRef(bindings);
  latest.current = bindings;
  const set = useKeyList((s) => s.set);
  const shape = bindings.map((b) => b.key + b.does).join('|');
  useLayoutEffect(() => {
    set(
      place,
      latest.current.filter((b) => !b.hidden),
    );
    return () => {
      set(place, null);
    };
  }, [place, set, shape]);
  useLayoutEffect(() => {
    const press = (event: KeyboardEvent): void => {
      if (event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey || typing(event.target)) return;
      const onButton = event.target instanceof HTMLButtonElement && (event.key === ' ' || event.key === 'Enter');
      const found = onButton ? undefined : latest.current.find((b) => b.key === event.key);
      if (!found) return;
      event.preventDefault();
      found.run();
    };
    window.addEventListener('keydown', press);
    return () => {
      window.removeEventListener('keydown', press);
    };
  }, []);
}
