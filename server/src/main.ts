import { homedir } from 'node:os';
import { join } from 'node:path';
import { setFlagsFromString } from 'node:v8';
import { DEFAULT_PORT, NETWORK_PORT } from '#contract';
import { serve } from './app.js';
import { DataFile } from './db/dataFile.js';
import type { OnNetwork } from './network/network.service.js';
import { RunningAlready, UnusableDatabase } from './db/unusable.js';

// Sledge runs beside other things on one small machine: tidy up after 30 % of growth instead of waiting for memory
// to double
setFlagsFromString('--heap-growing-percent=30');

/** The folder for a person's data, as each system has it; `SLEDGE_DATA` overrides. */
export function dataFolder(): string {
  const { SLEDGE_DATA, XDG_DATA_HOME, APPDATA } = process.env;
  if (SLEDGE_DATA) return SLEDGE_DATA;
  if (process.platform === 'win32') return join(APPDATA ?? join(homedir(), 'AppData', 'Roaming'), 'Sledge');
  if (process.platform === 'darwin') return join(homedir(), 'Library', 'Application Support', 'Sledge');
  return join(XDG_DATA_HOME ?? join(homedir(), '.local', 'share'), 'sledge');
}

/** How tablets and phones are answered, as `SLEDGE_LAN`, `SLEDGE_LAN_HOST` and `SLEDGE_LAN_PORT` say. */
function onNetwork(): OnNetwork {
  const { SLEDGE_LAN, SLEDGE_LAN_HOST, SLEDGE_LAN_PORT } = process.env;
  return {
    host: SLEDGE_LAN_HOST ?? null,
    port: portIn('SLEDGE_LAN_PORT', SLEDGE_LAN_PORT, NETWORK_PORT),
    fixed: SLEDGE_LAN === '1',
  };
}

/** @throws UnusableDatabase where it is none */
function portIn(name: string, text: string | undefined, fallback: number): number {
  const port = Number(text ?? fallback);
  if (!Number.isInteger(port) || port < 0 || port > 65535) {
    throw new UnusableDatabase(`${name} is “${text ?? ''}”. Give a number from 1 to 65535.`);
  }
  return port;
}

/** The port that is asked for. @throws UnusableDatabase where it is none */
const usualPort = (): number => portIn('SLEDGE_PORT', process.env.SLEDGE_PORT, DEFAULT_PORT);

/** What is said where Sledge cannot start; null for what only we can mend. */
function sentenceOf(error: unknown): string | null {
  if (error instanceof UnusableDatabase) return error.message;
  const port = Number(process.env.SLEDGE_PORT ?? DEFAULT_PORT);
  const { code } = error as NodeJS.ErrnoException;
  if (code === 'EADDRINUSE')
    return `Port ${port} is taken, by another program or by a Sledge with other data. Set SLEDGE_PORT to another one.`;
  if (code === 'EACCES') return `Port ${port} cannot be used without more rights. Set SLEDGE_PORT to another one.`;
  return null;
}

/** @throws UnusableDatabase, RunningAlready, or as the system said it */
async function begin(port: number, prepare?: (file: string) => Promise<void>): Promise<string> {
  const file = join(dataFolder(), 'sledge.db');
  const network = onNetwork();
  await prepare?.(file);
  const running = await serve(file, port, network);
  for (const notice of running.app.get(DataFile).notices) console.warn(notice);
  const address = `http://127.0.0.1:${running.port}`;
  console.log(`Sledge is at ${address}  (data: ${file})`);
  return address;
}

/** Says in a sentence why Sledge could not start, and ends it. */
function giveUp(error: unknown): void {
  const sentence = sentenceOf(error);
  if (sentence === null) throw error;
  console.error(sentence);
  process.exitCode = 1;
  // Nest keeps the process alive when its start was interrupted
  setTimeout(() => process.exit(1), 100).unref();
}

/**
 * Starts on the person's data and prints the address; says in a sentence why it cannot.
 * Where Sledge runs on that data already, it says where.
 * @param prepare makes the database before it is opened
 */
export async function start(prepare?: (file: string) => Promise<void>): Promise<void> {
  try {
    await begin(usualPort(), prepare);
  } catch (error) {
    if (error instanceof RunningAlready) console.log(error.message);
    else giveUp(error);
  }
}

/**
 * As a double click does it: starts on the person's data, at another address where another program has the usual
 * one, and shows it in the browser; where Sledge runs already, it shows that one.
 */
export async function startAndShow(): Promise<void> {
  const { default: open } = await import('open');
  try {
    const address = await begin(usualPort()).catch((error: unknown) => {
      if ((error as NodeJS.ErrnoException).code !== 'EADDRINUSE') throw error;
      return begin(0);
    });
    await open(address);
  } catch (error) {
    if (!(error instanceof RunningAlready)) {
      giveUp(error);
      return;
    }
    console.log(error.message);
    if (error.address !== null) await open(error.address);
  }
}
