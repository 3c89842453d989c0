import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import { projectRoot } from '../db/root.js';

/** A thread of its own. @param script of the built server */
const begun = (script: string, data: unknown): Worker =>
  new Worker(join(projectRoot(), 'dist', 'served', script), { workerData: data, execArgv: [] });

/** It took longer than was allowed, and was ended. */
export class TooLong extends Error {}

/**
 * Does heavy work in a thread of its own, so that everybody else is answered
 * meanwhile.
 * @param script of the built server, as in `archive/look.worker.js`; it posts one message with what it found
 * @param most ms after which it is ended
 * @throws TooLong, and what the thread did not catch
 */
export function aside<T>(script: string, data: unknown, most: number): Promise<T> {
  return new Promise<T>((resolve, reject) => {
    const worker = begun(script, data);
    const late = setTimeout(() => {
      end(() => {
        reject(new TooLong(`${script} took longer than ${most} ms.`));
      });
    }, most);
    const end = (then: () => void): void => {
      clearTimeout(late);
      void worker.terminate().then(then);
    };
    worker.once('message', (found: T) => {
      end(() => {
        resolve(found);
      });
    });
    worker.once('error', (error) => {
      end(() => {
        reject(error);
      });
    });
  });
}

/** How far a long piece of work is. */
export interface HowFar {
  readonly done: number;
  readonly total: number;
}

/** A long piece of work in a thread of its own: what comes of it, and the way to end it before that. */
export interface LongWork<T> {
  readonly result: Promise<T>;
  /** after it nothing comes of it */
  readonly stop: () => void;
}

/** It was ended by whoever had asked for it. */
export class Stopped extends Error {}

/**
 * Does work that takes long in a thread of its own.
 * @param script it posts `{ howFar }` now and then, and at last one message with what it found
 * @param tell called with how far it is
 */
export function longAside<T>(script: string, data: unknown, tell: (howFar: HowFar) => void): LongWork<T> {
  const worker = begun(script, data);
  const result = new Promise<T>((resolve, reject) => {
    let found: { readonly what: T } | null = null;
    worker.on('message', (said: { readonly howFar?: HowFar }) => {
      if (said.howFar) {
        tell(said.howFar);
        return;
      }
      found = { what: said as T };
      void worker.terminate();
    });
    worker.once('error', reject);
    // only when the thread has gone are the files that it had open free
    worker.once('exit', () => {
      if (found) resolve(found.what);
      else reject(new Stopped(`${script} was ended.`));
    });
  });
  return { result, stop: () => void worker.terminate() };
}
