import { parentPort, workerData } from 'node:worker_threads';
import { UnusableDatabase } from '../db/unusable.js';
import { lookInto } from './look.js';

/** Looks through the database at the path that it is given, beside the thread that answers. */
const { file } = workerData as { readonly file: string };
try {
  parentPort?.postMessage({ holds: await lookInto(file) });
} catch (error) {
  if (!(error instanceof UnusableDatabase)) throw error;
  parentPort?.postMessage({ wrong: error.message });
}
