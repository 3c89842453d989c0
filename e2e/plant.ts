import { PLANTED, Sledge } from './sledge.js';

/** Plants the kitchen garden once: every errand begins with a copy of it. */
export default async function plant(): Promise<() => Promise<void>> {
  const garden = new Sledge('garden');
  await garden.start();
  await garden.stop();
  process.env[PLANTED] = garden.folder;
  return () => garden.remove();
}
