import { wrap, type Remote } from 'comlink';
import type { ExchangeWorker } from './exchange.worker.js';

let worker: Remote<ExchangeWorker> | null = null;
/** The worker that reads files. */
export const exchangeWorker = (): Remote<ExchangeWorker> =>
  (worker ??= wrap<ExchangeWorker>(new Worker(new URL('./exchange.worker.ts', import.meta.url), { type: 'module' })));
