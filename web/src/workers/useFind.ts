import { proxy, wrap, type Remote } from 'comlink';
import { useEffect, useState } from 'react';
import type { Corners, Correction, Found } from '#core/mix';
import type { FindWorker, PlainClay, PlainCorrection, PlainInput } from './find.worker.js';

export type SearchState = 'looking' | 'done' | 'stopped';
interface Searching {
  readonly found: readonly Found[];
  readonly state: SearchState;
}

let worker: Remote<FindWorker> | null = null;
const started = (): Remote<FindWorker> =>
  (worker ??= wrap<FindWorker>(new Worker(new URL('./find.worker.js', import.meta.url), { type: 'module' })));

/** Lets the worker get to know clays before the first question. */
export function useKnownClays(clays: readonly PlainClay[]): void {
  useEffect(() => {
    void started().meet(clays);
  }, [clays]);
}

/** The mixes that come nearest to a colour, better and better while the worker looks. */
export function useFind(input: PlainInput | null): Searching & { readonly stop: () => void } {
  const [searching, setSearching] = useState<Searching>({ found: [], state: 'done' });
  const key = JSON.stringify(input);
  useEffect(() => {
    const asked = JSON.parse(key) as PlainInput | null;
    if (!asked) {
      setSearching({ found: [], state: 'done' });
      return;
    }
    let current = true;
    setSearching((before) => ({ found: before.found, state: 'looking' }));
    void started()
      .find(
        asked,
        proxy((found: readonly Found[]) => {
          if (current) setSearching((before) => ({ ...before, found }));
        }),
      )
      .then((done) => {
        if (current) setSearching((before) => ({ ...before, state: done ? 'done' : 'stopped' }));
      });
    return () => {
      current = false;
    };
  }, [key]);
  return {
    ...searching,
    stop: () => {
      void started().stop();
    },
  };
}

/** What to add to a mix that came out differently; null while the worker looks. */
export function useCorrections(input: PlainCorrection | null): readonly Correction[] | null {
  const [found, setFound] = useState<readonly Correction[] | null>(null);
  useEffect(() => {
    if (!input) {
      setFound(null);
      return;
    }
    let current = true;
    void started()
      .correct(input)
      .then((list) => {
        if (current) setFound(list);
      });
    return () => {
      current = false;
    };
  }, [input]);
  return found;
}

/** What was found for one of many colours; undefined while the worker has not come to it. */
export type Match = readonly Found[] | undefined;

/** The mixes for many colours, one after the other; those that have not changed are not looked for again. */
export function useMatches(inputs: readonly PlainInput[]): readonly Match[] {
  const [known, setKnown] = useState<Readonly<Record<string, readonly Found[]>>>({});
  const keys = inputs.map((input) => JSON.stringify(input));
  const wanted = keys.join('\n');
  useEffect(() => {
    let current = true;
    const look = async (): Promise<void> => {
      for (const key of wanted === '' ? [] : wanted.split('\n')) {
        if (!current) return;
        if (known[key]) continue;
        let last: readonly Found[] = [];
        const done = await started().find(
          JSON.parse(key) as PlainInput,
          proxy((found: readonly Found[]) => {
            last = found;
          }),
        );
        // messages come in order, so the last list is here by now
        if (done && current) setKnown((before) => ({ ...before, [key]: last }));
      }
    };
    void look();
    return () => {
      current = false;
    };
    // what is known is only looked at, to leave it out
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [wanted]);
  return keys.map((key) => known[key]);
}

/** A triangle of three mixes as a picture; null while it is drawn. */
export function useTriangle(corners: Corners | null, width: number): ImageData | null {
  const [image, setImage] = useState<ImageData | null>(null);
  useEffect(() => {
    if (!corners) {
      setImage(null);
      return;
    }
    let current = true;
    void started()
      .triangle(corners, width)
      .then((drawn) => {
        if (current) setImage(drawn);
      });
    return () => {
      current = false;
    };
  }, [corners, width]);
  return image;
}
