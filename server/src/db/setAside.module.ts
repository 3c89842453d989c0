import { Global, Inject, Injectable, Module } from '@nestjs/common';
import { DB } from './db.module.js';
import type { Db } from './dataFile.js';
import { HeldRead } from './heldRead.js';
import { Journal } from './journal.js';
import { setAside } from './schema.js';

/** Figures that were learned and are not to be used. */
@Injectable()
export class SetAside {
  private readonly held: HeldRead<ReadonlySet<string>>;

  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Journal) journal: Journal,
  ) {
    this.held = new HeldRead(journal, ['setAside'], () => this.read());
  }

  /** Their keys; read again after each change of them. */
  keys(): Promise<ReadonlySet<string>> {
    return this.held.get();
  }

  private async read(): Promise<ReadonlySet<string>> {
    return new Set((await this.db.select().from(setAside)).map(({ id }) => id));
  }
}

@Global()
@Module({ providers: [SetAside], exports: [SetAside] })
export class SetAsideModule {}
