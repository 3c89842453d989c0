import { Inject, Injectable, Logger, type OnApplicationShutdown, type OnModuleInit } from '@nestjs/common';
import { accessSync, constants, mkdirSync } from 'node:fs';
import { isAbsolute, resolve } from 'node:path';
import type { RuleAnswer } from '#contract';
import { refused } from '../access/problem.js';
import { CopyShelf } from '../db/copyShelf.js';
import { DataFile } from '../db/dataFile.js';
import { Journal } from '../db/journal.js';
import { asUnusable } from '../db/unusable.js';
import { lookAside } from './lookAside.js';
import { isOfDay, staysByRule } from './rule.js';
import { readRule, writeRule, type RuleState } from './ruleState.js';

/** ms after which it is looked again whether a copy is due; and after the start. */
const [EVERY, FIRST] = [30 * 60_000, 20_000];

/** Copies that are kept without anybody thinking of them: one a day, by a rule, each looked through. */
@Injectable()
export class RuledCopies implements OnModuleInit, OnApplicationShutdown {
  private readonly log = new Logger('Copies');
  private timers: NodeJS.Timeout[] = [];
  private working: Promise<void> = Promise.resolve();

  constructor(
    @Inject(DataFile) private readonly data: DataFile,
    @Inject(Journal) private readonly journal: Journal,
  ) {}

  onModuleInit(): void {
    const look = (): void => {
      void this.keep(new Date(), false);
    };
    this.timers = [setTimeout(look, FIRST), setInterval(look, EVERY)];
    for (const timer of this.timers) timer.unref();
  }

  async onApplicationShutdown(): Promise<void> {
    for (const timer of this.timers) clearInterval(timer);
    await this.working;
  }

  private state(): RuleState {
    return readRule(this.data.file);
  }

  /** Where they lie: in the folder that was chosen, or with the other copies. */
  shelf({ folder } = this.state()): CopyShelf {
    return folder === null ? this.data.copies : new CopyShelf(this.data.file, folder);
  }

  told(): RuleAnswer {
    const state = this.state();
    const { folder } = this.shelf(state);
    return { folder, chosen: state.folder !== null, last: state.last, failed: state.failed };
  }

  /** Chooses another folder, as on another disk; null: with the other copies. @throws ProblemException */
  async choose(folder: string | null): Promise<RuleAnswer> {
    const own = folder === null || folder.trim() === '' ? null : this.usable(folder.trim());
    writeRule(this.data.file, { ...this.state(), folder: own });
    return this.now();
  }

  private usable(folder: string): string {
    if (!isAbsolute(folder)) throw refused('Give the folder with its whole path, from the top.', 'folder');
    const own = resolve(folder);
    try {
      mkdirSync(own, { recursive: true });
      accessSync(own, constants.R_OK | constants.W_OK);
    } catch (error) {
      throw refused(`${own} cannot be written to: ${reason(error)}`, 'folder');
    }
    return own;
  }

  /** Keeps one at once. */
  async now(): Promise<RuleAnswer> {
    await this.keep(new Date(), true);
    return this.told();
  }

  /** Keeps a copy where one is due, one after the other. @param anyway also where there is one of this day */
  keep(now: Date, anyway: boolean): Promise<void> {
    this.working = this.working.then(() => this.keepOne(now, anyway));
    return this.working;
  }

  private async keepOne(now: Date, anyway: boolean): Promise<void> {
    const shelf = this.shelf();
    try {
      const newest = shelf.list().find((copy) => copy.ruled);
      if (newest && !anyway && isOfDay(newest, now)) return;
      await this.take(shelf, now);
    } catch (error) {
      const why = reason(error);
      this.log.error(`No copy was kept by rule: ${why}`);
      this.remember({ failed: { at: now.toISOString(), why } });
    }
  }

  /** A disk that is full has no room for a note either: then the screen still says when the last one was made. */
  private remember(part: Partial<RuleState>): void {
    try {
      writeRule(this.data.file, { ...this.state(), ...part });
    } catch (error) {
      this.log.error(`It could not be noted: ${reason(error)}`);
    }
  }

  private async take(shelf: CopyShelf, now: Date): Promise<void> {
    let name = '';
    await this.journal.beside(() =>
      this.data.copy(async (file, change) => {
        name = shelf.datedName('by rule', change, now);
        await shelf.take(file, name);
      }),
    );
    try {
      const holds = await lookAside(shelf.path(name));
      this.remember({ last: { name, holds, at: now.toISOString() }, failed: null });
    } catch (error) {
      shelf.letGo(name);
      throw error;
    }
    const ruled = shelf.list().filter((copy) => copy.ruled);
    const stays = staysByRule(ruled, now);
    for (const copy of ruled) if (!stays.has(copy.name)) shelf.letGo(copy.name);
  }
}

/** Why something could not be kept, in one sentence. */
function reason(error: unknown): string {
  const told = asUnusable(error, 'the folder of copies');
  return told instanceof Error ? told.message : String(told);
}
