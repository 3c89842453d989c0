import { Inject, Injectable, Logger, type OnApplicationShutdown } from '@nestjs/common';
import { createReadStream, mkdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { copyFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { Readable } from 'node:stream';
import type { CheckedCopy, WholeAnswer } from '#contract';
import { inUse, notThere } from '../../access/problem.js';
import { Stopped, longAside, type HowFar, type LongWork } from '../../aside/aside.js';
import { DataFile } from '../../db/dataFile.js';
import { Journal } from '../../db/journal.js';
import { UnusableDatabase, asUnusable } from '../../db/unusable.js';
import { receive, removeDatabase } from '../incoming.js';
import type { ReadArchive } from './readZip.js';

/** Bytes of an archive that is handed in. */
const MOST_BYTES = 4_000_000_000;
const NOTHING: WholeAnswer = { way: null, state: 'none', done: 0, total: 0, why: null, copy: null, bytes: 0 };

export type ReadIn = (ReadArchive & { readonly holds: CheckedCopy['holds'] }) | { readonly wrong: string };

/** Everything as one ZIP, out and in again: one at a time, with how far it is, and the way to stop it. */
@Injectable()
export class WholeArchive implements OnApplicationShutdown {
  private readonly log = new Logger('Archive');
  private now: WholeAnswer = NOTHING;
  private work: LongWork<unknown> | null = null;

  constructor(
    @Inject(DataFile) private readonly data: DataFile,
    @Inject(Journal) private readonly journal: Journal,
  ) {}

  onApplicationShutdown(): void {
    this.stop();
  }

  told(): WholeAnswer {
    return this.now;
  }

  /** A path in the folder of copies: what is half done there is swept away at the next start. */
  private half(name: string): string {
    mkdirSync(this.data.copies.folder, { recursive: true });
    return join(this.data.copies.folder, `${name}.half`);
  }

  private get zip(): string {
    return this.half('archive.zip');
  }

  private begin(way: 'out' | 'in'): void {
    if (this.now.state === 'running') throw inUse('An archive is being written or read already. Wait, or stop it.');
    this.sweep();
    this.now = { ...NOTHING, way, state: 'running' };
  }

  private tell = (howFar: HowFar): void => {
    this.now = { ...this.now, ...howFar };
  };

  private failed(error: unknown): void {
    if (error instanceof Stopped) {
      this.now = NOTHING;
      return;
    }
    const known = asUnusable(error, 'the folder of copies');
    // nobody waits for it any more: thrown from here it would end Sledge
    if (!(known instanceof UnusableDatabase)) this.log.error(error);
    const why = known instanceof UnusableDatabase ? known.message : 'Something went wrong inside Sledge. Try it again.';
    this.now = { ...this.now, state: 'failed', why };
  }

  private run<T>(script: string, data: object): Promise<T> {
    const work = longAside<T>(script, data, this.tell);
    this.work = work;
    return work.result;
  }

  /** Copies the data of this moment, so that nobody waits while it is read. */
  private async copied(file: string): Promise<void> {
    await this.journal.beside(() => this.data.copy((from) => copyFile(from, file)));
  }

  /** Begins to write everything. */
  out(): WholeAnswer {
    this.begin('out');
    void this.write(this.zip).then(
      () => {
        this.now = { ...this.now, state: 'ready', bytes: statSync(this.zip).size };
      },
      (error: unknown) => {
        this.failed(error);
      },
    );
    return this.now;
  }

  /** Writes an archive of the data of this moment. @throws Stopped, and what the system says */
  private async write(out: string): Promise<void> {
    const file = this.half('archive-whole');
    try {
      await this.copied(file);
      await this.run('archive/whole/out.worker.js', { file, out });
    } finally {
      removeDatabase(file);
    }
  }

  /** @throws ProblemException 404 where none is ready */
  file(): { readonly stream: Readable; readonly bytes: number } {
    if (this.now.way !== 'out' || this.now.state !== 'ready') throw notThere('This archive');
    return { stream: createReadStream(this.zip), bytes: this.now.bytes };
  }

  /** Takes an archive in as one more copy. @param name of the file */
  async in(stream: Readable, name: string): Promise<WholeAnswer> {
    this.begin('in');
    try {
      await this.receive(stream, this.zip);
    } catch (error) {
      this.failed(error);
      return this.now;
    }
    void this.readIn(this.copyName(name)).catch((error: unknown) => {
      this.failed(error);
    });
    return this.now;
  }

  private async receive(stream: Readable, path: string): Promise<void> {
    const bytes = await receive(stream, path, MOST_BYTES, 'This file is larger than any archive of Sledge.');
    if (bytes === 0) throw new UnusableDatabase('This file is empty.');
  }

  /** `from garden (2)`: a name that no copy has yet. */
  private copyName(file: string): string {
    const plain = file
      .replace(/\.[^.]*$/, '')
      .replace(/[^\p{L}\p{N} ,_()-]+/gu, ' ')
      .trim()
      .slice(0, 60);
    const name = `from ${plain === '' ? 'an archive' : plain}`;
    const { copies } = this.data;
    for (let n = 1; ; n += 1) {
      const own = n === 1 ? name : `${name} (${n})`;
      if (!copies.has(own)) return own;
    }
  }

  private async readIn(copy: string): Promise<void> {
    const file = this.half('archive-in');
    try {
      const read = await this.run<ReadIn>('archive/whole/in.worker.js', { zip: this.zip, file });
      if ('wrong' in read) throw new UnusableDatabase(read.wrong);
      renameSync(file, this.data.copies.path(copy));
      this.now = {
        ...this.now,
        state: 'ready',
        copy: { name: copy, bytes: statSync(this.data.copies.path(copy)).size, holds: read.holds },
      };
    } finally {
      for (const path of [file, this.zip]) removeDatabase(path);
    }
  }

  /** Ends what runs, and throws away what is ready and was not saved. */
  stop(): WholeAnswer {
    this.work?.stop();
    this.work = null;
    this.sweep();
    this.now = NOTHING;
    return this.now;
  }

  private sweep(): void {
    rmSync(join(this.data.copies.folder, 'archive.zip.half'), { force: true });
  }
}
