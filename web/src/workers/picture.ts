import { wrap, type Remote } from 'comlink';
import type { PictureWorker } from './picture.worker.js';

let worker: Remote<PictureWorker> | null = null;
/** The worker that holds the picture at hand. */
export const pictureWorker = (): Remote<PictureWorker> =>
  (worker ??= wrap<PictureWorker>(new Worker(new URL('./picture.worker.js', import.meta.url), { type: 'module' })));
