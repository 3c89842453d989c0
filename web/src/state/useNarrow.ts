import { useSyncExternalStore } from 'react';
import { NARROW_QUERY } from '../theme/narrow.js';

const query = (): MediaQueryList | null =>
  typeof window.matchMedia === 'function' ? window.matchMedia(NARROW_QUERY) : null;

function follow(onChange: () => void): () => void {
  const list = query();
  list?.addEventListener('change', onChange);
  return () => {
    list?.removeEventListener('change', onChange);
  };
}

/** Whether the screen is one that is held: a phone, or a tablet upright. */
export const useNarrow = (): boolean => useSyncExternalStore(follow, () => query()?.matches ?? false);
