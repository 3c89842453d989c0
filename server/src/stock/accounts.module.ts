import { Global, Module } from '@nestjs/common';
import { Accounts } from './accounts.js';
import { MadeAnswers } from './madeAnswers.js';
import { StockLooks } from './looks.js';
import { StockStore } from './stock.store.js';

/** What every station that makes something writes its clay down with. */
@Global()
@Module({
  providers: [Accounts, MadeAnswers, StockLooks, StockStore],
  exports: [Accounts, MadeAnswers, StockLooks, StockStore],
})
export class AccountsModule {}
