import { randomBytes } from 'node:crypto';
import { appendFileSync, existsSync, renameSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import type { LoggerService } from '@nestjs/common';

/** Bytes after which the log begins anew; the one before it is kept. */
const MOST_BYTES = 500_000;
const MOST_LETTERS = 8000;

function wordsOf(message: unknown): string {
  if (!(message instanceof Error)) return typeof message === 'string' ? message : JSON.stringify(message);
  const cause = message.cause === undefined ? '' : `\n  caused by ${wordsOf(message.cause)}`;
  return `${message.stack ?? message.message}${cause}`;
}

/** What went wrong inside, in a file beside the data that stays small. It never holds up or breaks what it tells of. */
export class FileLog implements LoggerService {
  readonly path: string;

  /** @param file path of the database file */
  constructor(file: string) {
    this.path = join(dirname(file), 'sledge.log');
  }

  /** @returns the number under which it stands in the log */
  fault(error: unknown, where: string): string {
    const number = randomBytes(3).toString('hex');
    this.write(`fault ${number} at ${where}`, error);
    return number;
  }

  log(): void {
    /* what goes well is not kept */
  }
  warn(message: unknown): void {
    this.write('warning', message);
  }
  error(message: unknown, ...more: unknown[]): void {
    this.write('error', message, ...more);
  }
  fatal(message: unknown): void {
    this.write('fatal', message);
  }

  private write(kind: string, ...what: readonly unknown[]): void {
    const text = what
      .filter((part) => part !== undefined)
      .map(wordsOf)
      .join('\n  ')
      .slice(0, MOST_LETTERS);
    try {
      if (existsSync(this.path) && statSync(this.path).size > MOST_BYTES) renameSync(this.path, `${this.path}.old`);
      appendFileSync(this.path, `${new Date().toISOString()} ${kind}: ${text}\n`);
    } catch {
      // a full disk has its own sentence on the screen
    }
  }
}
