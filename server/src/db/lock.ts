import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createClient } from '@libsql/client';
import { RunningAlready, codesOf } from './unusable.js';

/** How long a second Sledge waits to hear the address of one that is just starting, ms. */
const PATIENCE = 8000;
const LOOK_EVERY = 100;

export interface Lock {
  /** Tells a second Sledge where this one answers. */
  readonly announce: (address: string) => void;
  readonly release: () => void;
}

const addressFile = (file: string): string => `${file}.address`;
const pause = (ms: number): Promise<void> =>
  new Promise((resolve) => {
    setTimeout(resolve, ms);
  });

function announced(file: string): string | null {
  const path = addressFile(file);
  return existsSync(path) ? readFileSync(path, 'utf8').trim() || null : null;
}

/**
 * Locks the data for this process. The lock is SQLite's own on a small file
 * beside the data: the system takes it back when the process ends, however
 * it ends.
 * @throws RunningAlready with the address of the Sledge that has it
 */
export async function takeLock(file: string): Promise<Lock> {
  for (let waited = 0; ; waited += LOOK_EVERY) {
    const client = createClient({ url: `file:${file}.lock`, concurrency: 1 });
    try {
      const held = await client.transaction('write');
      rmSync(addressFile(file), { force: true });
      return {
        announce: (address) => {
          writeFileSync(addressFile(file), address);
        },
        release: () => {
          rmSync(addressFile(file), { force: true });
          held.close();
          client.close();
        },
      };
    } catch (error) {
      client.close();
      if (!codesOf(error).some((code) => code.startsWith('SQLITE_BUSY'))) throw error;
    }
    const address = announced(file);
    if (address !== null || waited >= PATIENCE) throw new RunningAlready(file, address);
    await pause(LOOK_EVERY);
  }
}
