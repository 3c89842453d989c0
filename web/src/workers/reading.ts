import type { Remote } from 'comlink';
import { create } from 'zustand';
import { Complaint } from '#core/units';
import { Crash, bridgeTo } from './bridge.js';
import type { ExchangeWorker } from './exchange.worker.js';
import { complaint } from './sentences.js';

/** ms that reading a file may take. */
const PATIENCE = 10_000;
/** Bytes of a file of colours, mixes, a cane or a drawing. */
const MOST_BYTES = 20_000_000;
/** ms after which it is said that a file is being read. */
const WORTH_SAYING = 400;

const reader = bridgeTo<ExchangeWorker>(
  'a file was read',
  () => new Worker(new URL('./exchange.worker.js', import.meta.url), { type: 'module' }),
);

/** The name of the file that is being read, once it takes long enough to be worth saying. */
export const useReading = create<{ readonly name: string | null }>()(() => ({ name: null }));

let underWay = '';
/** Stops the reading that is under way. */
export const stopReading = (): void => {
  reader.end(complaint('file/stopped', { name: underWay }));
};

/** What was wrong with a file, with its name before it. */
function named(name: string, error: unknown): unknown {
  if (error instanceof Crash) return complaint('file/unreadable', { name });
  if (!(error instanceof Complaint) || error.message.startsWith(name)) return error;
  return complaint('file/wrong', { name, sentence: error.message, at: error.at });
}

/**
 * Reads a file in a worker that is ended where it takes too long; the next file gets a new one.
 * @throws Complaint with the name of the file
 */
export async function readAside<T>(
  file: Blob & { readonly name?: string },
  read: (reader: Remote<ExchangeWorker>) => Promise<T>,
): Promise<T> {
  const name = file.name ?? 'This file';
  if (file.size > MOST_BYTES) throw complaint('file/large', { name });
  underWay = name;
  const late = setTimeout(() => {
    reader.end(complaint('file/slow', { name }));
  }, PATIENCE);
  const saying = setTimeout(() => {
    useReading.setState({ name });
  }, WORTH_SAYING);
  try {
    return await reader.ask(read, { tries: 1 });
  } catch (error) {
    throw named(name, error);
  } finally {
    clearTimeout(saying);
    clearTimeout(late);
    useReading.setState({ name: null });
  }
}
