import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import type { CopyContents } from '#contract';
import { projectRoot } from '../db/root.js';
import { UnusableDatabase } from '../db/unusable.js';

type Told = { readonly holds: CopyContents } | { readonly wrong: string };

/** As {@link lookInto}, in a thread of its own, so that everybody else is answered meanwhile. @throws UnusableDatabase */
export function lookAside(file: string): Promise<CopyContents> {
  const script = join(projectRoot(), 'dist', 'server', 'src', 'archive', 'look.worker.js');
  return new Promise((resolve, reject) => {
    const worker = new Worker(script, { workerData: { file } });
    worker.once('error', reject);
    worker.once('message', (told: Told) => {
      if ('holds' in told) resolve(told.holds);
      else reject(new UnusableDatabase(told.wrong));
    });
  });
}
