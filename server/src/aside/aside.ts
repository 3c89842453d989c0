import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import { projectRoot } from '../db/root.js';

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
  const path = join(projectRoot(), 'dist', 'server', 'src', script);
  return new Promise<T>((resolve, reject) => {
    const worker = new Worker(path, { workerData: data, execArgv: [] });
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
