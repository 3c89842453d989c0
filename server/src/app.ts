import 'reflect-metadata';
import { Controller, Get, Logger, Module, type DynamicModule } from '@nestjs/common';
import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import express, { type NextFunction, type Request, type Response } from 'express';
import staticFiles from 'express-static-gzip';
import helmet from 'helmet';
import { existsSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import { refuseDeep } from './access/depth.js';
import { FileLog } from './access/log.js';
import { ProblemFilter } from './access/problem.filter.js';
import { sameMachine } from './access/sameMachine.js';
import { validation } from './access/validation.js';
import { ArchiveModule } from './archive/archive.module.js';
import type { StartAnew } from './archive/archive.service.js';
import { BatchesModule } from './batches/batches.module.js';
import { BenchNowModule } from './benchNow/benchNow.module.js';
import { BlendsModule } from './blends/blends.module.js';
import { CanesModule } from './canes/canes.module.js';
import { PiecesModule } from './pieces/pieces.module.js';
import { PatternsModule } from './patterns/patterns.module.js';
import { ChangesModule } from './changes/changes.module.js';
import { DataFile } from './db/dataFile.js';
import { BakedModule } from './baked/baked.module.js';
import { DaysModule } from './days/days.module.js';
import { DbModule } from './db/db.module.js';
import { Journal } from './db/journal.js';
import { projectRoot } from './db/root.js';
import { DevicesModule } from './devices/devices.module.js';
import { DiaryModule } from './diary/diary.module.js';
import { EventsModule } from './events/events.module.js';
import { ExchangeModule } from './exchange/exchange.module.js';
import { LearningModule } from './learning/learning.module.js';
import { LookRoundModule } from './lookRound/lookRound.module.js';
import { door, ownSteps } from './network/door.js';
import { NetworkModule } from './network/network.module.js';
import { NetworkService, type OnNetwork } from './network/network.service.js';
import { MixesModule } from './mixes/mixes.module.js';
import { MosaicsModule } from './mosaics/mosaics.module.js';
import { RescueModule } from './rescue/rescue.module.js';
import { RevisionsModule } from './revisions/revisions.module.js';
import { DrawerModule } from './drawer/drawer.module.js';
import { OvensModule } from './ovens/ovens.module.js';
import { PalettesModule } from './palettes/palettes.module.js';
import { SheetsModule } from './sheets/sheets.module.js';
import { ShoppingModule } from './shopping/shopping.module.js';
import { SetAsideModule } from './db/setAside.module.js';
import { BegunModule } from './begun/begun.module.js';
import { TaughtModule } from './taught/taught.module.js';
import { StockModule } from './stock/stock.module.js';
import { AccountsModule } from './stock/accounts.module.js';
import { SheetBookModule } from './sheetBook/sheetBook.module.js';
import { ShelfModule } from './shelf/shelf.module.js';

const BODY_LIMIT = '1mb';

@Controller('api/health')
class HealthController {
  @Get()
  health(): { status: 'ok' } {
    return { status: 'ok' };
  }
}

@Module({})
class AppModule {
  static at(file: string, startAnew: StartAnew, network: OnNetwork | null): DynamicModule {
    return {
      module: AppModule,
      imports: [
        DbModule.at(file),
        EventsModule,
        NetworkModule.with(network),
        ArchiveModule.with(startAnew),
        RevisionsModule,
        MixesModule,
        DrawerModule,
        OvensModule,
        PiecesModule,
        PalettesModule,
        MosaicsModule,
        ShelfModule,
        RescueModule,
        SheetsModule,
        BlendsModule,
        CanesModule,
        PatternsModule,
        AccountsModule,
        StockModule,
        ShoppingModule,
        SheetBookModule,
        BatchesModule,
        DaysModule,
        BenchNowModule,
        BakedModule,
        DiaryModule,
        SetAsideModule,
        TaughtModule,
        BegunModule,
        LearningModule,
        DevicesModule,
        ExchangeModule,
        LookRoundModule,
        ChangesModule,
      ],
      controllers: [HealthController],
    };
  }
}

/** The built web application; every address that is not the API and not a file is its start page. */
function webPages(app: NestExpressApplication): void {
  const pages = join(projectRoot(), 'dist', 'web');
  if (!existsSync(join(pages, 'index.html'))) return;
  const files = staticFiles(pages, {
    enableBrotli: true,
    index: false,
    serveStatic: { maxAge: '1y', immutable: true },
  });
  app.use((request: Request, response: Response, next: NextFunction) => {
    if (request.method !== 'GET' || request.path.startsWith('/api/')) {
      next();
      return;
    }
    files(request, response, () => {
      response.set('Cache-Control', 'no-store').sendFile(join(pages, 'index.html'));
    });
  });
}

export interface Running {
  readonly port: number;
  /** the application; another one once a copy was taken up */
  readonly app: NestExpressApplication;
}

const addressOf = (app: NestExpressApplication): AddressInfo =>
  (app.getHttpServer() as { address(): AddressInfo }).address();

/** The parameters of an address; of one that stands there twice, the first. */
function firstOfEach(query: string): Record<string, string> {
  return Object.fromEntries([...new URLSearchParams(query)].reverse());
}

async function create(
  file: string,
  log: FileLog,
  port: () => number,
  startAnew: StartAnew,
  onNetwork: OnNetwork | null,
): Promise<NestExpressApplication> {
  const app = await NestFactory.create<NestExpressApplication>(AppModule.at(file, startAnew, onNetwork), {
    // until it answers, whoever starts it says in a sentence what is wrong
    logger: false,
    abortOnError: false,
    bodyParser: false,
    // the streams stay open; they are not waited for
    forceCloseConnections: true,
  });
  app.disable('x-powered-by');
  // each parameter once, as text
  app.set('query parser', firstOfEach);
  const network = (): NetworkService => app.get(NetworkService);
  app.use(sameMachine(port));
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          // the search for a mix has vector instructions
          'script-src': ["'self'", "'wasm-unsafe-eval'"],
          'style-src': ["'self'", "'unsafe-inline'"],
          'img-src': ["'self'", 'data:', 'blob:'],
          'upgrade-insecure-requests': null,
        },
      },
      strictTransportSecurity: false,
    }),
  );
  app.use(door(network));
  webPages(app);
  app.use(express.json({ limit: BODY_LIMIT, verify: refuseDeep }));
  app.use(ownSteps(network));
  app.useGlobalPipes(validation());
  app.useGlobalFilters(new ProblemFilter(log));
  app.get(Journal).onFailure((error) => {
    log.fault(error, 'after a change was written');
  });
  app.enableShutdownHooks();
  return app;
}

async function listen(app: NestExpressApplication, log: FileLog, port: number): Promise<number> {
  try {
    await app.listen(port, '127.0.0.1');
  } catch (error) {
    await app.close();
    throw error;
  }
  // what was silent until now is written down from here on
  Logger.overrideLogger(log);
  const listening = addressOf(app).port;
  app.get(DataFile).announce(`http://127.0.0.1:${listening}`);
  return listening;
}

/**
 * Opens the database and answers on 127.0.0.1.
 * @param file path of the database file
 * @param port 0 for any free one
 * @param network how tablets and phones may be answered; null: not at all
 * @throws UnusableDatabase, RunningAlready
 */
export async function serve(file: string, port: number, network: OnNetwork | null = null): Promise<Running> {
  let listening = port;
  const log = new FileLog(file);
  const start = (): Promise<NestExpressApplication> => create(file, log, () => listening, startAnew, network);
  const startAnew = async (): Promise<void> => {
    try {
      await app.close();
      app = await start();
      await listen(app, log, listening);
    } catch (error) {
      // the data is whole either way: what is left is to say so and to be started by hand
      const fault = log.fault(error, 'starting anew');
      console.error(`Sledge could not start again by itself (fault ${fault} in ${log.path}). Start it anew.`);
      process.exit(1);
    }
  };
  let app = await start();
  listening = await listen(app, log, port);
  return {
    port: listening,
    get app() {
      return app;
    },
  };
}
