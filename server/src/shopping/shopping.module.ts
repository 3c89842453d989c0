import { Controller, Get, Inject, Module } from '@nestjs/common';
import type { ShoppingAnswer } from '#contract';
import { BatchesModule } from '../batches/batches.module.js';
import { SheetsModule } from '../sheets/sheets.module.js';
import { ShoppingService } from './shopping.service.js';

@Controller('api')
class ShoppingController {
  constructor(@Inject(ShoppingService) private readonly service: ShoppingService) {}

  @Get('shopping')
  list(): Promise<ShoppingAnswer> {
    return this.service.list();
  }
}

@Module({ imports: [BatchesModule, SheetsModule], controllers: [ShoppingController], providers: [ShoppingService] })
export class ShoppingModule {}
