import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { serve } from './app.js';
import { loadDemo } from './loadDemo.js';

/** The kitchen garden to look round in: it ends with the Sledge that laid it out, and its folder with it. */
const folder = mkdtempSync(join(tmpdir(), 'sledge-garden-'));
const { app, port } = await serve(join(folder, 'sledge.db'), 0);
await loadDemo(app);

async function end(): Promise<void> {
  await app.close();
  rmSync(folder, { recursive: true, force: true });
  process.exit(0);
}
process.once('disconnect', () => {
  void end();
});
process.once('SIGTERM', () => {
  void end();
});
process.send?.(port);
