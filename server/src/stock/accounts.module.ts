import { Global, Module } from '@nestjs/common';
import { CanesStore } from '../canes/canes.store.js';
import { CanesTold } from '../canes/canes.told.js';
import { PatternsStore } from '../patterns/patterns.store.js';
import { PatternsTold } from '../patterns/patterns.told.js';
import { Accounts } from './accounts.js';
import { MadeAnswers } from './madeAnswers.js';
import { StockLooks } from './looks.js';
import { StockStore } from './stock.store.js';

const ALL = [Accounts, CanesStore, CanesTold, PatternsStore, PatternsTold, MadeAnswers, StockLooks, StockStore];

/** What every station that makes something writes its clay down with. */
@Global()
@Module({ providers: ALL, exports: ALL })
export class AccountsModule {}
