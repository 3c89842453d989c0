import { useQueries } from '@tanstack/react-query';
import { proxy, type Remote } from 'comlink';
import PQueue from 'p-queue';
import { useEffect } from 'react';
import type { Corners, Correction, Found } from '#core/mix';
import { answers, useAnswer, type Key } from './answers.js';
import { bridgeTo, inLine } from './bridge.js';
import type { FindWorker, PlainClay, PlainCorrection, PlainInput } from './find.worker.js';
import { searchName } from './names.js';

export type SearchState = 'looking' | 'done' | 'stopped';
interface Searching {
  readonly found: readonly Found[];
  readonly state: SearchState;
}

const finder = bridgeTo<FindWorker>(
  'a mix was looked for',
  () => new Worker(new URL('./find.worker.js', import.meta.url), { type: 'module' }),
);

let searches = 0;
/** Searches that go on, by their names. A stop is meant for one: the next may have begun when it arrives. */
const going = new Set<string>();

/** Stops all searches; what they have found by then stays. */
function stopSearches(): void {
  for (const name of going) void finder.ask((worker) => worker.stop(name));
}

/** Lets the worker get to know clays before the first question. */
export function useKnownClays(clays: readonly PlainClay[]): void {
  useEffect(() => {
    void finder.ask((worker) => worker.meet(clays));
  }, [clays]);
}

/** Looks for mixes; what is found so far stands under the key all the while. */
async function search(key: Key, input: PlainInput, signal: AbortSignal): Promise<Searching> {
  let now: Searching = { found: [], state: 'looking' };
  const name = searchName(++searches);
  going.add(name);
  // the last list goes another way than the answer that it is the last, and may come after it
  const tell = proxy((found: readonly Found[]) => {
    now = { ...now, found };
    if (!signal.aborted) answers.setQueryData<Searching>(key, now);
  });
  const stop = (worker: Remote<FindWorker>): void => void worker.stop(name);
  try {
    const done = await finder.ask((worker) => worker.find(input, tell, name), { signal, stop });
    now = { ...now, state: done ? 'done' : 'stopped' };
    return now;
  } finally {
    going.delete(name);
  }
}

const keyOf = (input: PlainInput | null): Key => ['search', JSON.stringify(input)];

/** The mixes that come nearest to a colour, better and better while the worker looks. */
export function useFind(input: PlainInput | null): Searching & { readonly stop: () => void } {
  const key = keyOf(input);
  const { value, working } = useAnswer(key, input && ((signal) => search(key, input, signal)));
  const known = input && value ? value : { found: [], state: 'done' as const };
  return { found: known.found, state: input && working ? 'looking' : known.state, stop: stopSearches };
}

/** What to add to a mix that came out differently; null while the worker looks. */
export function useCorrections(input: PlainCorrection | null): readonly Correction[] | null {
  const { value } = useAnswer(
    ['corrections', JSON.stringify(input)],
    input && (() => finder.ask((worker) => worker.correct(input))),
  );
  return input ? (value ?? null) : null;
}

/** What was found for one of many colours; undefined while the worker has not come to it. */
export type Match = readonly Found[] | undefined;

/** Many colours are looked for one after the other. */
const line = new PQueue({ concurrency: 1 });
/** ms that an answer is kept after nobody looks at it any more: a palette may take a colour back. */
const KEPT = 300_000;

/** The mixes for many colours, one after the other; those that have not changed are not looked for again. */
export function useMatches(inputs: readonly PlainInput[]): readonly Match[] {
  const known = useQueries(
    {
      queries: inputs.map((input) => {
        const key = keyOf(input);
        return {
          queryKey: key,
          gcTime: KEPT,
          queryFn: ({ signal }: { readonly signal: AbortSignal }) =>
            inLine(line, signal, () => search(key, input, signal)),
        };
      }),
    },
    answers,
  );
  return known.map(({ data }) => (data?.state === 'done' ? data.found : undefined));
}

/** A triangle of three mixes as a picture; null while it is drawn. */
export function useTriangle(corners: Corners | null, width: number): ImageData | null {
  const { value } = useAnswer(
    ['triangle', JSON.stringify(corners), width],
    corners && (() => finder.ask((worker) => worker.triangle(corners, width))),
  );
  return corners ? (value ?? null) : null;
}
