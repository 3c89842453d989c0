import { proxy, wrap, type Remote } from 'comlink';
import { useEffect, useState } from 'react';
import type { Correction, Found } from '#core/mix';
import type { FindWorker, PlainClay, PlainCorrection, PlainInput } from './find.worker.js';

export type SearchState = 'looking' | 'done' | 'stopped';
interface Searching { readonly found: readonly Found[]; readonly state: SearchState }

let worker: Remote<FindWorker> | null = null;
const started = (): Remote<FindWorker> =>
  (worker ??= wrap<FindWorker>(new Worker(new URL('./find.worker.ts', import.meta.url), { type: 'module' })));

/** Lets the worker get to know clays before the first question. */
export function useKnownClays(clays: readonly PlainClay[]): void {
  useEffect(() => { void started().meet(clays); }, [clays]);
}

/** The mixes that come nearest to a colour, better and better while the worker looks. */
export function useFind(input: PlainInput | null): Searching & { readonly stop: () => void } {
  const [searching, setSearching] = useState<Searching>({ found: [], state: 'done' });
  const key = JSON.stringify(input);
  useEffect(() => {
    const asked = JSON.parse(key) as PlainInput | null;
    if (!asked) { setSearching({ found: [], state: 'done' }); return; }
    let current = true;
    setSearching((before) => ({ found: before.found, state: 'looking' }));
    void started().find(asked, proxy((found: readonly Found[]) => { if (current) setSearching((before) => ({ ...before, found })); }))
      .then((done) => { if (current) setSearching((before) => ({ ...before, state: done ? 'done' : 'stopped' })); });
    return () => { current = false; };
  }, [key]);
  return { ...searching, stop: () => { void started().stop(); } };
}

/** What to add to a mix that came out differently; null while the worker looks. */
export function useCorrections(input: PlainCorrection | null): readonly Correction[] | null {
  const [found, setFound] = useState<readonly Correction[] | null>(null);
  useEffect(() => {
    setFound(null);
    if (!input) return;
    let current = true;
    void started().correct(input).then((list) => { if (current) setFound(list); });
    return () => { current = false; };
  }, [input]);
  return found;
}
