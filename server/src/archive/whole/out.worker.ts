import { createClient } from '@libsql/client';
import { parentPort, workerData } from 'node:worker_threads';
import type { Manifest } from './manifest.js';
import { writeArchive } from './writeZip.js';

/** Writes an archive of a database that nobody else has open, beside the thread that answers. */
const { file, out } = workerData as { readonly file: string; readonly out: string };

async function write(): Promise<Manifest> {
  const client = createClient({ url: `file:${file}`, concurrency: 1 });
  try {
    return await writeArchive(client, out, (done, total) => parentPort?.postMessage({ howFar: { done, total } }));
  } finally {
    client.close();
  }
}

parentPort?.postMessage({ manifest: await write() });
