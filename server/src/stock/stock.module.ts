import { Module } from '@nestjs/common';
import { CanesModule } from '../canes/canes.module.js';
import { StockController } from './stock.controller.js';
import { StockService } from './stock.service.js';

@Module({ imports: [CanesModule], controllers: [StockController], providers: [StockService] })
export class StockModule {}
