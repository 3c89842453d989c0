import { Inject, Injectable } from '@nestjs/common';
import { createReadStream, statSync } from 'node:fs';
import { copyFile, mkdir, rename } from 'node:fs/promises';
import { basename, join } from 'node:path';
import type { Readable } from 'node:stream';
import type { ArchiveAnswer, CheckedCopy } from '#contract';
import { inUse, notThere, refused } from '../access/problem.js';
import type { CopyShelf } from '../db/copyShelf.js';
import { DataFile } from '../db/dataFile.js';
import { SUCCESSOR, type Successor } from '../db/db.module.js';
import { Journal } from '../db/journal.js';
import { UnusableDatabase } from '../db/unusable.js';
import { ownVersion } from '../db/version.js';
import { receive, removeDatabase } from './incoming.js';
import { lookAside } from './lookAside.js';
import { RuledCopies } from './ruled.service.js';

/** Token of the function that ends the application and starts it anew on the same address. */
export const START_ANEW = Symbol('start anew');
export type StartAnew = () => Promise<void>;

/** Bytes of a file that can be handed in as a copy. */
const MOST_BYTES = 2_000_000_000;

/** Whole copies of the data: kept, handed out, and taken up in place of it. */
@Injectable()
export class ArchiveService {
  /** the person has read what happened at the start */
  private read = false;
  private taking = false;

  constructor(
    @Inject(DataFile) private readonly data: DataFile,
    @Inject(Journal) private readonly journal: Journal,
    @Inject(SUCCESSOR) private readonly successor: Successor,
    @Inject(START_ANEW) private readonly startAnew: StartAnew,
    @Inject(RuledCopies) private readonly ruled: RuledCopies,
  ) {}

  all(): ArchiveAnswer {
    const { file, copies, notices } = this.data;
    const elsewhere = this.ruled.shelf();
    const all = elsewhere === copies ? copies.list() : [...copies.list(), ...elsewhere.list().filter((c) => c.ruled)];
    return {
      version: ownVersion(),
      ...{ file, folder: copies.folder, rule: this.ruled.told(), notices: this.read ? [] : notices },
      copies: all.sort((a, b) => (a.at < b.at ? 1 : -1)),
    };
  }

  noticesRead(): void {
    this.read = true;
  }

  /** Copies the whole of the data and looks through the copy. */
  async keep(name: string): Promise<CheckedCopy> {
    const { copies } = this.data;
    const own = name.trim();
    if (copies.has(own)) throw refused(`There is a copy called ${own} already. Choose another name.`, 'name');
    await this.journal.beside(() => this.data.copy((file) => copies.take(file, own)));
    try {
      const holds = await lookAside(copies.path(own));
      return { name: own, bytes: statSync(copies.path(own)).size, holds };
    } catch (error) {
      copies.letGo(own);
      throw error;
    }
  }

  /** @throws ProblemException 404 */
  path(name: string): string {
    return this.shelfOf(name).path(name);
  }

  /** Where a copy lies. @throws ProblemException 404 */
  private shelfOf(name: string): CopyShelf {
    const shelf = [this.data.copies, this.ruled.shelf()].find((s) => s.has(name));
    if (basename(name) !== name || !shelf) throw notThere('This copy');
    return shelf;
  }

  open(name: string): { readonly stream: Readable; readonly bytes: number } {
    const path = this.path(name);
    return { stream: createReadStream(path), bytes: statSync(path).size };
  }

  letGo(name: string): void {
    this.shelfOf(name).letGo(name);
  }

  /** Looks through a copy of the folder. */
  async look(name: string): Promise<CheckedCopy> {
    const path = this.path(name);
    const own = await this.borrowed(async (incoming) => {
      await copyFile(path, incoming);
      return this.checked(incoming);
    });
    return { name, bytes: statSync(path).size, holds: own };
  }

  /** Works with a copy of a copy, looked through and brought up to date; what is done to it is thrown away. */
  withCopy<T>(name: string, work: (copy: DataFile) => Promise<T>): Promise<T> {
    const path = this.path(name);
    return this.borrowed(async (incoming) => {
      await copyFile(path, incoming);
      await this.checked(incoming);
      const copy = await DataFile.open(incoming, { copies: false });
      try {
        return await work(copy);
      } finally {
        await copy.close();
      }
    });
  }

  /** Takes up a copy of the folder in place of the data, which is kept first. */
  takeUp(name: string): Promise<void> {
    const path = this.path(name);
    return this.replace((incoming) => copyFile(path, incoming));
  }

  /** Takes up a database that is handed in, in place of the data, which is kept first. */
  takeUpFile(stream: Readable): Promise<void> {
    return this.replace(async (incoming) => {
      const tooLarge = 'This file is larger than any data of Sledge. Nothing was changed.';
      const bytes = await receive(stream, incoming, MOST_BYTES, tooLarge);
      if (bytes === 0) throw refused('This file is empty. Nothing was changed.', 'file');
    });
  }

  private async checked(file: string): Promise<CheckedCopy['holds']> {
    try {
      return await lookAside(file);
    } catch (error) {
      if (!(error instanceof UnusableDatabase)) throw error;
      throw refused(`${error.message.replaceAll(file, 'This file')} The data is as it was.`, 'file');
    }
  }

  private async borrowed<T>(work: (incoming: string) => Promise<T>): Promise<T> {
    const incoming = join(this.data.copies.folder, 'incoming.half');
    if (this.taking || this.successor.path !== undefined)
      throw inUse('A copy is being looked at or taken up already. Wait until that is done.');
    this.taking = true;
    try {
      await mkdir(this.data.copies.folder, { recursive: true });
      return await work(incoming);
    } finally {
      this.taking = false;
      removeDatabase(incoming);
    }
  }

  /** The new data is whole, checked and of this version before anything of the old one is touched. */
  private replace(bring: (incoming: string) => Promise<void>): Promise<void> {
    return this.borrowed(async (incoming) => {
      await bring(incoming);
      await this.checked(incoming);
      // an older copy is brought up to date here, where a failure harms nothing
      const next = await DataFile.open(incoming, { copies: false });
      try {
        await this.journal.beside(() =>
          this.data.copy(async (file, change) => {
            await this.data.copies.takeDated(file, 'before taking up a copy', change);
            await next.countOnFrom(change);
          }),
        );
      } finally {
        await next.close();
      }
      const ready = join(this.data.copies.folder, 'successor.half');
      await rename(incoming, ready);
      this.successor.path = ready;
    });
  }

  /** Ends, puts the new data in place of the old one, and starts anew; to be called when the answer is out. */
  async takeOver(): Promise<void> {
    if (this.successor.path !== undefined) await this.startAnew();
  }
}
