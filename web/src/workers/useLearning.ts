import { useEffect } from 'react';
import type { Learned, NextChip } from '#core/mix';
import type { LearningAnswer } from '#contract';
import { NoAnswer, Refused, ask } from '../wire/ask.js';
import { client, readAllAnew, useLearning } from '../wire/queries.js';
import { useAnswer } from './answers.js';
import { bridgeTo } from './bridge.js';
import type { LearnWorker, Taught } from './learn.worker.js';

const teacher = bridgeTo<LearnWorker>(
  'something was learned from your chips',
  () => new Worker(new URL('./learn.worker.js', import.meta.url), { type: 'module' }),
);

const learnFrom = ({ key, clays, chips }: LearningAnswer): Promise<Taught> =>
  teacher.ask((worker) => worker.learn(key, clays, chips));

/** Sends what was learned or chosen and shows what the server makes of it: every predicted colour may be another. */
export async function keepLearning(path: string, body: object): Promise<void> {
  try {
    client.setQueryData(['/api/learning'], await ask<LearningAnswer>('PUT', path, body));
  } catch (error) {
    // the chips have changed meanwhile, so this was for nothing; the next answer brings the new ones
    if (!(error instanceof Refused)) throw error;
  }
  await readAllAnew();
}

/** Gives what was learned to the server. Without one there is nobody to keep it: it is learned anew later. */
async function keepLearned(key: string, learned: Learned): Promise<void> {
  const clays = Object.entries(learned).map(([clayId, own]) => ({ clayId, ...own }));
  try {
    await keepLearning('/api/learning', { key, clays });
  } catch (error) {
    if (!(error instanceof NoAnswer)) throw error;
  }
}

/** Learns again whenever chips have come or gone, and gives it to the server to keep. */
export function useKeepLearning(): void {
  const { data } = useLearning();
  const stale = data !== undefined && data.key !== data.learnedKey && (data.chips.length > 0 || data.learned !== null);
  // the key stands for chips and clays
  const { value, fresh } = useAnswer(['learned', data?.key ?? null], stale ? () => learnFrom(data) : null);
  const key = data?.key;
  useEffect(() => {
    if (stale && fresh && value && key !== undefined) void keepLearned(key, value.learned);
  }, [stale, fresh, value, key]);
}

/** What the chips teach, and which to make next; null while the worker is at it. */
export function useLesson(
  data: LearningAnswer | undefined,
  usable: readonly string[],
  count: number,
): { readonly taught: Taught | null; readonly next: readonly NextChip[] | null } {
  const key = data?.key ?? null;
  const taught = useAnswer(['learned', key], data ? () => learnFrom(data) : null);
  const next = useAnswer(
    ['next chips', key, usable.join(), count],
    data ? () => teacher.ask((worker) => worker.next(data.key, data.clays, data.chips, usable, count)) : null,
  );
  return { taught: taught.value ?? null, next: next.value ?? null };
}
