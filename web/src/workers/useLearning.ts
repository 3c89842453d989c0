import { wrap, type Remote } from 'comlink';
import { useEffect, useState } from 'react';
import type { NextChip } from '#core/mix';
import type { LearningAnswer } from '#contract';
import { NoAnswer, Refused, ask } from '../wire/ask.js';
import { client, useLearning } from '../wire/queries.js';
import type { LearnWorker, Taught } from './learn.worker.js';

let worker: Remote<LearnWorker> | null = null;
const started = (): Remote<LearnWorker> =>
  (worker ??= wrap<LearnWorker>(new Worker(new URL('./learn.worker.js', import.meta.url), { type: 'module' })));

/** Sends what was learned or chosen and shows what the server makes of it: every predicted colour may be another. */
export async function keepLearning(path: string, body: object): Promise<void> {
  try {
    client.setQueryData(['/api/learning'], await ask<LearningAnswer>('PUT', path, body));
  } catch (error) {
    // the chips have changed meanwhile, so this was for nothing; the next answer brings the new ones
    if (!(error instanceof Refused)) throw error;
  }
  await client.invalidateQueries();
}

/** Learns again whenever chips have come or gone, and gives it to the server to keep. */
export function useKeepLearning(): void {
  const { data } = useLearning();
  const stale = data !== undefined && data.key !== data.learnedKey && (data.chips.length > 0 || data.learned !== null);
  useEffect(() => {
    if (!stale) return;
    let current = true;
    void started()
      .learn(data.key, data.clays, data.chips)
      .then(({ learned }) => {
        if (!current) return;
        const clays = Object.entries(learned).map(([clayId, own]) => ({ clayId, ...own }));
        keepLearning('/api/learning', { key: data.key, clays }).catch((error: unknown) => {
          // without the server there is nobody to keep it; it is learned anew when that is back
          if (!(error instanceof NoAnswer)) throw error;
        });
      });
    return () => {
      current = false;
    };
    // the key stands for chips and clays
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [stale, data?.key]);
}

/** What the chips teach, and which to make next; null while the worker is at it. */
export function useLesson(
  data: LearningAnswer | undefined,
  usable: readonly string[],
  count: number,
): { readonly taught: Taught | null; readonly next: readonly NextChip[] | null } {
  const [taught, setTaught] = useState<Taught | null>(null);
  const [next, setNext] = useState<readonly NextChip[] | null>(null);
  const wanted = usable.join();
  useEffect(() => {
    if (!data) return;
    let current = true;
    const { key, clays, chips } = data;
    void started()
      .learn(key, clays, chips)
      .then((answer) => {
        if (current) setTaught(answer);
      });
    void started()
      .next(key, clays, chips, wanted.split(','), count)
      .then((answer) => {
        if (current) setNext(answer);
      });
    return () => {
      current = false;
    };
    // the key stands for chips and clays
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [data?.key, wanted, count]);
  return { taught, next };
}
