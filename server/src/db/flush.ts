import { existsSync } from 'node:fs';
import { open, type FileHandle } from 'node:fs/promises';

/** Flushes that are shared by all who wait at the same time. */
export class Flush {
  /** the one that is under way, or was the last */
  private running: Promise<void> = Promise.resolve();
  /** the one that begins when that is done */
  private next: Promise<void> | null = null;

  /** @param flush brings all that is written so far to the disk */
  constructor(private readonly flush: () => Promise<void>) {}

  /** Resolves when everything that was written before this call is on the disk. @throws Error as the disk said it */
  onDisk(): Promise<void> {
    this.next ??= this.afterThis();
    return this.next;
  }

  private async afterThis(): Promise<void> {
    await this.settled();
    // what is written from now on waits for the one after
    this.running = this.flush();
    this.next = null;
    return this.running;
  }

  /** Resolves when nothing is under way. */
  async settled(): Promise<void> {
    await this.running.catch(() => undefined);
  }
}

/**
 * The write-ahead file on its way to the disk. SQLite itself flushes it only
 * where it works it in (`synchronous = NORMAL`), so that the process does
 * other things meanwhile.
 */
export class AheadFile {
  private handle: FileHandle | null = null;
  private failed: Error | null = null;

  constructor(private readonly path: string) {}

  /** @throws Error as the disk said it, from then on always: nobody knows what of it is there */
  async flush(): Promise<void> {
    if (this.failed) throw this.failed;
    // nothing was ever written: there is nothing to flush
    if (!existsSync(this.path)) return;
    try {
      this.handle ??= await open(this.path, 'r+');
      await this.handle.datasync();
    } catch (error) {
      this.failed = error instanceof Error ? error : new Error(String(error));
      throw this.failed;
    }
  }

  /** Lets go of the file, so that it can be taken away. */
  async close(): Promise<void> {
    this.failed ??= new Error('The data was closed.');
    await this.handle?.close();
    this.handle = null;
  }
}
