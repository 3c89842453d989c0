import { createClient } from '@libsql/client';
import { parentPort, workerData } from 'node:worker_threads';
import type { Manifest } from './manifest.js';
import { writeArchive, type Chosen } from './writeZip.js';

/** Writes an archive of a database that nobody else has open, beside the thread that answers. */
const { file, out, chosen } = workerData as {
  readonly file: string;
  readonly out: string;
  readonly chosen: Chosen | null;
};

async function write(): Promise<Manifest> {
  const client = createClient({ url: `file:${file}`, concurrency: 1 });
  try {
    return await writeArchive(
      client,
      out,
      (done, total) => parentPort?.postMessage({ howFar: { done, total } }),
      chosen,
    );
  } finally {
    client.close();
  }
}

parentPort?.postMessage({ manifest: await write() });
