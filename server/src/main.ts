import { homedir } from 'node:os';
import { join } from 'node:path';
import { setFlagsFromString } from 'node:v8';
import { DEFAULT_PORT } from '#contract';
import { serve, type Running } from './app.js';
import { UnusableDatabase } from './db/open.js';

// Sledge runs beside other things on one small machine: tidy up after 30 % of growth instead of waiting for memory to double
setFlagsFromString('--heap-growing-percent=30');

/** The folder for a person's data, as each system has it; `SLEDGE_DATA` overrides. */
export function dataFolder(): string {
  const { SLEDGE_DATA, XDG_DATA_HOME, APPDATA } = process.env;
  if (SLEDGE_DATA) return SLEDGE_DATA;
  if (process.platform === 'win32') return join(APPDATA ?? join(homedir(), 'AppData', 'Roaming'), 'Sledge');
  if (process.platform === 'darwin') return join(homedir(), 'Library', 'Application Support', 'Sledge');
  return join(XDG_DATA_HOME ?? join(homedir(), '.local', 'share'), 'sledge');
}

/**
 * Starts on the person's data and prints the address; says in a sentence why it cannot.
 * @param prepare fills the database before the address is printed
 */
export async function start(prepare?: (app: Running['app']) => Promise<void>): Promise<void> {
  const port = Number(process.env.SLEDGE_PORT ?? DEFAULT_PORT);
  const file = join(dataFolder(), 'sledge.db');
  try {
    if (!Number.isInteger(port) || port < 0 || port > 65535) {
      throw new UnusableDatabase(`SLEDGE_PORT is “${process.env.SLEDGE_PORT ?? ''}”. Give a number from 1 to 65535.`);
    }
    const running = await serve(file, port);
    await prepare?.(running.app);
    console.log(`Sledge is at http://127.0.0.1:${running.port}  (data: ${file})`);
  } catch (error) {
    if (error instanceof UnusableDatabase) console.error(error.message);
    else if ((error as NodeJS.ErrnoException).code === 'EADDRINUSE') {
      console.error(`Port ${port} is taken, perhaps by a Sledge that is running already. Set SLEDGE_PORT to another one.`);
    } else throw error;
    process.exitCode = 1;
    // Nest keeps the process alive when its start was interrupted
    setTimeout(() => process.exit(1), 100).unref();
  }
}
