import { Inject, Injectable } from '@nestjs/common';
import type { Draft } from '../db/journal.js';
import { Studio } from '../mixes/studio.js';
import { Account } from './account.js';
import { StockLooks } from './looks.js';
import { StockStore } from './stock.store.js';

/** Opens the account of an entry of the diary. */
@Injectable()
export class Accounts {
  constructor(
    @Inject(Studio) private readonly studio: Studio,
    @Inject(StockStore) private readonly store: StockStore,
    @Inject(StockLooks) private readonly looks: StockLooks,
  ) {}

  open(draft: Draft, entryId: string): Account {
    const { studio, store } = this;
    return new Account({ draft, studio, store, entryId, looks: (of) => this.looks.of(of) });
  }
}
