import { createWriteStream, rmSync } from 'node:fs';
import type { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { UnusableDatabase } from '../db/unusable.js';

/** What lies beside a database that was opened. */
const BESIDE = ['', '-wal', '-shm', '.lock', '.lock-journal', '.address'];

/** Throws a database away that was only borrowed, with all that lies beside it. */
export function removeDatabase(file: string): void {
  for (const ending of BESIDE) rmSync(`${file}${ending}`, { force: true });
}

/**
 * Writes what is handed in to a file.
 * @param most bytes
 * @param tooLarge the sentence where it is more
 * @returns its bytes @throws UnusableDatabase with that sentence
 */
export async function receive(stream: Readable, file: string, most: number, tooLarge: string): Promise<number> {
  let bytes = 0;
  stream.on('data', (chunk: Buffer) => {
    bytes += chunk.length;
    if (bytes > most) stream.destroy(new UnusableDatabase(tooLarge));
  });
  await pipeline(stream, createWriteStream(file));
  return bytes;
}
