import { parentPort, workerData } from 'node:worker_threads';
import { DataFile } from '../../db/dataFile.js';
import { UnusableDatabase } from '../../db/unusable.js';
import { lookInto } from '../look.js';
import { checkDocuments } from './documents.js';
import { readArchive } from './readZip.js';

/** Makes a database of an archive, of the version of now, looked through, beside the thread that answers. */
const { zip, file } = workerData as { readonly zip: string; readonly file: string };

async function make(): Promise<object> {
  const read = await readArchive(zip, file, (done, total) => parentPort?.postMessage({ howFar: { done, total } }));
  const data = await DataFile.open(file, { copies: false });
  try {
    await checkDocuments(data.db);
  } finally {
    await data.close();
  }
  return { ...read, holds: await lookInto(file) };
}

try {
  parentPort?.postMessage(await make());
} catch (error) {
  if (!(error instanceof UnusableDatabase)) throw error;
  parentPort?.postMessage({ wrong: error.message });
}
