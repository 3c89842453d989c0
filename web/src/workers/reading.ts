import { wrap, type Remote } from 'comlink';
import { create } from 'zustand';
import type { ExchangeWorker } from './exchange.worker.js';

/** A file was not read to its end, and why. */
export class NotRead extends Error {}

/** ms that reading a file may take. */
const PATIENCE = 10_000;
/** Bytes of a file of colours, mixes, a cane or a drawing. */
const MOST_BYTES = 20_000_000;

interface Reader {
  readonly worker: Worker;
  readonly remote: Remote<ExchangeWorker>;
}
let reader: Reader | null = null;

function begin(): Reader {
  const worker = new Worker(new URL('./exchange.worker.js', import.meta.url), { type: 'module' });
  return { worker, remote: wrap<ExchangeWorker>(worker) };
}

/** The name of the file that is being read, once it takes long enough to be worth saying. */
export const useReading = create<{ readonly name: string | null }>()(() => ({ name: null }));
/** ms after which it is said. */
const WORTH_SAYING = 400;

let giveUp: ((why: string) => void) | null = null;
/** Stops the reading that is under way. */
export const stopReading = (): void => {
  giveUp?.('It was stopped. Nothing was taken in.');
};

/**
 * Reads a file in a worker that is ended where it takes too long; the next
 * file gets a new one.
 * @throws NotRead with the sentence
 */
export async function readAside<T>(
  file: Blob & { readonly name?: string },
  read: (remote: Remote<ExchangeWorker>) => Promise<T>,
): Promise<T> {
  const name = file.name ?? 'This file';
  if (file.size > MOST_BYTES) throw new NotRead(`${name} is larger than 20 MB. It is no file that Sledge reads.`);
  const own = (reader ??= begin());
  let late: ReturnType<typeof setTimeout> | undefined;
  const givenUp = new Promise<never>((_, reject) => {
    giveUp = (why) => {
      own.worker.terminate();
      if (reader === own) reader = null;
      reject(new NotRead(`${name}: ${why}`));
    };
    late = setTimeout(() => {
      giveUp?.('Reading took longer than 10 seconds and was stopped. Nothing was taken in.');
    }, PATIENCE);
    own.worker.addEventListener(
      'error',
      () => {
        giveUp?.('It cannot be read. Nothing was taken in.');
      },
      { once: true },
    );
  });
  const saying = setTimeout(() => {
    useReading.setState({ name });
  }, WORTH_SAYING);
  try {
    return await Promise.race([read(own.remote), givenUp]);
  } finally {
    clearTimeout(saying);
    clearTimeout(late);
    useReading.setState({ name: null });
    giveUp = null;
  }
}
