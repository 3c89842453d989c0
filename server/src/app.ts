import 'reflect-metadata';
import { Controller, Get, Logger, Module, type DynamicModule } from '@nestjs/common';
import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import express, { type NextFunction, type Request, type Response } from 'express';
import helmet from 'helmet';
import { existsSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import { ProblemFilter } from './access/problem.filter.js';
import { sameMachine } from './access/sameMachine.js';
import { validation } from './access/validation.js';
import { BatchesModule } from './batches/batches.module.js';
import { BlendsModule } from './blends/blends.module.js';
import { CanesModule } from './canes/canes.module.js';
import { ChangesModule } from './changes/changes.module.js';
import { DbModule } from './db/db.module.js';
import { projectRoot } from './db/root.js';
import { DevicesModule } from './devices/devices.module.js';
import { DiaryModule } from './diary/diary.module.js';
import { ExchangeModule } from './exchange/exchange.module.js';
import { LearningModule } from './learning/learning.module.js';
import { MixesModule } from './mixes/mixes.module.js';
import { PalettesModule } from './palettes/palettes.module.js';
import { SheetsModule } from './sheets/sheets.module.js';
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
  static at(file: string): DynamicModule {
    return {
      module: AppModule,
      imports: [DbModule.at(file), MixesModule, PalettesModule, ShelfModule, SheetsModule, BlendsModule, CanesModule, SheetBookModule, BatchesModule, DiaryModule, LearningModule, DevicesModule, ExchangeModule, ChangesModule],
      controllers: [HealthController],
    };
  }
}

/** The built web application; every address that is not the API and not a file is its start page. */
function webPages(app: NestExpressApplication): void {
  const pages = join(projectRoot(), 'dist', 'web');
  if (!existsSync(join(pages, 'index.html'))) return;
  const files = express.static(pages, { index: false, maxAge: '1y', immutable: true });
  app.use((request: Request, response: Response, next: NextFunction) => {
    if (request.method !== 'GET' || request.path.startsWith('/api/')) { next(); return; }
    files(request, response, () => { response.set('Cache-Control', 'no-store').sendFile(join(pages, 'index.html')); });
  });
}

export interface Running {
  readonly port: number;
  readonly app: NestExpressApplication;
}

/**
 * Opens the database and answers on 127.0.0.1.
 * @param file path of the database file
 * @param port 0 for any free one
 * @throws UnusableDatabase
 */
export async function serve(file: string, port: number): Promise<Running> {
  const app = await NestFactory.create<NestExpressApplication>(AppModule.at(file), {
    // until it answers, whoever starts it says in a sentence what is wrong
    logger: false, abortOnError: false, bodyParser: false,
    // the streams of devices stay open; they are not waited for
    forceCloseConnections: true,
  });
  let listening = port;
  app.disable('x-powered-by');
  app.use(sameMachine(() => listening));
  app.use(helmet({
    contentSecurityPolicy: {
      directives: { 'style-src': ["'self'", "'unsafe-inline'"], 'upgrade-insecure-requests': null },
    },
    strictTransportSecurity: false,
  }));
  webPages(app);
  app.useBodyParser('json', { limit: BODY_LIMIT });
  app.useGlobalPipes(validation());
  app.useGlobalFilters(new ProblemFilter());
  app.enableShutdownHooks();
  await app.listen(port, '127.0.0.1');
  Logger.overrideLogger(['error', 'warn']);
  listening = ((app.getHttpServer() as { address(): AddressInfo }).address()).port;
  return { port: listening, app };
}
