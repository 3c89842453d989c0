import { Global, Inject, Injectable, Module } from '@nestjs/common';
import { DB } from './db.module.js';
import type { Db } from './dataFile.js';
import { Journal } from './journal.js';
import { setAside } from './schema.js';

/** Figures that were learned and are not to be used. */
@Injectable()
export class SetAside {
  private known: Promise<ReadonlySet<string>> | null = null;

  constructor(
    @Inject(DB) private readonly db: Db,
    @Inject(Journal) journal: Journal,
  ) {
    journal.onChange((writes) => {
      if (writes.some(({ table }) => table === 'setAside')) this.known = null;
    });
  }

  /** Their keys; read again after each change of them. */
  keys(): Promise<ReadonlySet<string>> {
    this.known ??= this.read().catch((error: unknown) => {
      this.known = null;
      throw error;
    });
    return this.known;
  }

  private async read(): Promise<ReadonlySet<string>> {
    return new Set((await this.db.select().from(setAside)).map(({ id }) => id));
  }
}

@Global()
@Module({ providers: [SetAside], exports: [SetAside] })
export class SetAsideModule {}
