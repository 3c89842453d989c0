import { useLayoutEffect, useRef } from 'react';
import { create } from 'zustand';
import { bindingFor, listed, type Bound, type Focus, type KeyBinding } from './keyFor.js';

export type { KeyBinding } from './keyFor.js';

interface Keys {
  readonly places: readonly Bound[];
  readonly set: (place: string, bindings: readonly KeyBinding[] | null) => void;
}

/** All keys of what is on the screen, for the list that `?` opens. */
export const useKeyList = create<Keys>()((set) => ({
  places: [],
  set: (place, bindings) => {
    set((s) => ({ places: listed(s.places, place, bindings) }));
  },
}));

function focusOn(target: EventTarget | null): Focus {
  if (!(target instanceof HTMLElement)) return 'nothing';
  if (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName)) return 'field';
  return target instanceof HTMLButtonElement ? 'button' : 'nothing';
}

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
    set(place, latest.current);
    return () => {
      set(place, null);
    };
  }, [place, set, shape]);
  useLayoutEffect(() => {
    const press = (event: KeyboardEvent): void => {
      const found = bindingFor(latest.current, event, focusOn(event.target));
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
