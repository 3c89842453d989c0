import { Global, Inject, Module, type DynamicModule, type OnApplicationShutdown } from '@nestjs/common';
import { DataFile } from './dataFile.js';
import { Journal } from './journal.js';

/** Token of the open database. */
export const DB = Symbol('database');
/** Token of what is to take the place of the data when it is closed: a path, or nothing. */
export const SUCCESSOR = Symbol('successor');
/** `path`: a whole database that becomes the data. */
export interface Successor {
  path: string | undefined;
}

/** The data, open for as long as the application runs, and closed whole at every orderly end. */
@Global()
@Module({})
export class DbModule implements OnApplicationShutdown {
  constructor(
    @Inject(DataFile) private readonly file: DataFile,
    @Inject(Journal) private readonly journal: Journal,
    @Inject(SUCCESSOR) private readonly successor: Successor,
  ) {}

  /** @param file path of the database file */
  static at(file: string): DynamicModule {
    return {
      module: DbModule,
      providers: [
        { provide: DataFile, useFactory: () => DataFile.open(file) },
        { provide: DB, useFactory: (data: DataFile) => data.db, inject: [DataFile] },
        {
          provide: Journal,
          useFactory: async (data: DataFile) => {
            try {
              return await Journal.open(data);
            } catch (error) {
              await data.close();
              throw error;
            }
          },
          inject: [DataFile],
        },
        { provide: SUCCESSOR, useValue: { path: undefined } satisfies Successor },
      ],
      exports: [DataFile, DB, Journal, SUCCESSOR],
    };
  }

  async onApplicationShutdown(): Promise<void> {
    await this.journal.stop();
    await this.file.close(this.successor.path);
  }
}
