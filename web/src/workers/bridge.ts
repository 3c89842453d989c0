import { wrap, type Remote } from 'comlink';
import type PQueue from 'p-queue';
import { Fault } from '#core/units';
import { tellFault } from '../state/faults.js';
import { keepComplaints } from './thrown.js';

keepComplaints();

/** A worker ended by itself, with every question that waited for it. */
export class Crash extends Fault {}

interface Asking<W> {
  /** aborted when the answer is not wanted any more */
  readonly signal?: AbortSignal;
  /** how the worker is told that it can stop */
  readonly stop?: (worker: Remote<W>) => void;
  /** how often it is asked where the worker crashes; by default twice */
  readonly tries?: number;
}

export interface Bridge<W> {
  /**
   * Asks the worker; it is begun with the first question, and again after a crash.
   * @throws Complaint as it was thrown there, or the reason of an `end`; Fault for all that only we can mend
   */
  readonly ask: <T>(question: (worker: Remote<W>) => Promise<T>, asking?: Asking<W>) => Promise<T>;
  /** Ends the worker: all who wait for it get the reason, the next question gets a new one. */
  readonly end: (why: Error) => void;
}

/** One worker, from its beginning to its end, with those who wait for an answer. */
interface Life<W> {
  readonly worker: Worker;
  readonly remote: Remote<W>;
  readonly waiting: Set<(why: Error) => void>;
}

const TRIES = 2;

/**
 * The way to a worker.
 * @param doing what it does, in words that follow "while"
 * @param begin makes the worker
 * @param remind tells a worker that follows a crashed one what that one was told
 */
export function bridgeTo<W>(
  doing: string,
  begin: () => Worker,
  remind: (worker: Remote<W>) => unknown = () => undefined,
): Bridge<W> {
  let life: Life<W> | null = null;
  let crashed = false;

  const endLife = (own: Life<W>, why: Error): void => {
    own.worker.terminate();
    if (life === own) life = null;
    for (const failed of own.waiting) failed(why);
    own.waiting.clear();
  };
  const crash = (own: Life<W>, cause: string): void => {
    crashed = true;
    const why = new Crash(doing, cause);
    endLife(own, why);
    tellFault(why);
  };
  const start = (): Life<W> => {
    const worker = begin();
    const own = { worker, remote: wrap<W>(worker), waiting: new Set<(why: Error) => void>() };
    worker.addEventListener('error', (event) => {
      event.preventDefault();
      crash(own, event.message);
    });
    worker.addEventListener('messageerror', () => {
      crash(own, 'an answer could not be read');
    });
    if (crashed) remind(own.remote);
    return own;
  };
  const once = <T>(question: (worker: Remote<W>) => Promise<T>, { signal, stop }: Asking<W>): Promise<T> => {
    const own = (life ??= start());
    return new Promise<T>((resolve, reject) => {
      own.waiting.add(reject);
      signal?.addEventListener('abort', () => stop?.(own.remote), { once: true });
      void question(own.remote)
        .then(resolve, reject)
        .finally(() => own.waiting.delete(reject));
    });
  };

  return {
    ask: async (question, asking = {}) => {
      for (let left = asking.tries ?? TRIES; ; left--) {
        try {
          return await once(question, asking);
        } catch (error) {
          if (!(error instanceof Crash) || left <= 1) throw error;
        }
      }
    },
    end: (why) => {
      if (life) endLife(life, why);
    },
  };
}

/** Asks when its turn in the line has come; what nobody waits for any more is not begun. */
export async function inLine<T>(line: PQueue, signal: AbortSignal, work: () => Promise<T>): Promise<T> {
  return line.add(
    () => {
      signal.throwIfAborted();
      return work();
    },
    { throwOnTimeout: true },
  );
}
