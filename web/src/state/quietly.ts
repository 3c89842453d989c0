/** What is heard from elsewhere is not said again: while `work` runs, nobody takes a change for one of this window. */
let hearing = 0;

export function quietly<T>(work: () => T): T {
  hearing += 1;
  try {
    return work();
  } finally {
    hearing -= 1;
  }
}

export const isHearing = (): boolean => hearing > 0;

interface Persisted {
  readonly persist: { rehydrate: () => Promise<void> | void };
}

/** Reads what another window of this browser has kept under `name`, as soon as it has. */
export function followWindows(store: Persisted, name: string): void {
  if (typeof window === 'undefined') return;
  window.addEventListener('storage', ({ key }) => {
    if (key === name) quietly(() => void store.persist.rehydrate());
  });
}
