import { copyFileSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { serve } from './app.js';
import { loadDemo } from './loadDemo.js';
import { COPY_PATH } from './lookRound/lookRound.service.js';

/**
 * The kitchen garden to look round in, or a copy to look into: it ends with the Sledge that laid it out, and its folder
 * with it.
 */
const folder = mkdtempSync(join(tmpdir(), 'sledge-garden-'));
const copy = process.env[COPY_PATH];
if (copy !== undefined) copyFileSync(copy, join(folder, 'sledge.db'));
const { app, port } = await serve(join(folder, 'sledge.db'), 0);
if (copy === undefined) await loadDemo(app);

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
