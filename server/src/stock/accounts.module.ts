import { Global, Module } from '@nestjs/common';
import { CanesStore } from '../canes/canes.store.js';
import { CanesTold } from '../canes/canes.told.js';
import { Accounts } from './accounts.js';
import { MadeAnswers } from './madeAnswers.js';
import { StockLooks } from './looks.js';
import { StockStore } from './stock.store.js';

/** What every station that makes something writes its clay down with. */
@Global()
@Module({
  providers: [Accounts, CanesStore, CanesTold, MadeAnswers, StockLooks, StockStore],
  exports: [Accounts, CanesStore, CanesTold, MadeAnswers, StockLooks, StockStore],
})
export class AccountsModule {}
