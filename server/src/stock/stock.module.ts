import { Module } from '@nestjs/common';
import { CanesModule } from '../canes/canes.module.js';
import { StockController } from './stock.controller.js';
import { StockService } from './stock.service.js';
import { TubsService } from './tubs.service.js';

@Module({ imports: [CanesModule], controllers: [StockController], providers: [StockService, TubsService] })
export class StockModule {}
