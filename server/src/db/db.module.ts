import { Global, Module, type DynamicModule } from '@nestjs/common';
import { Journal } from './journal.js';
import { openDatabase, type Db } from './open.js';

/** Token of the open database. */
export const DB = Symbol('database');

@Global()
@Module({})
export class DbModule {
  /** @param file path of the database file */
  static at(file: string): DynamicModule {
    return {
      module: DbModule,
      providers: [
        { provide: DB, useFactory: () => openDatabase(file) },
        { provide: Journal, useFactory: (db: Db) => Journal.open(db), inject: [DB] },
      ],
      exports: [DB, Journal],
    };
  }
}
