import { Controller, Get, Inject, Module, Query } from '@nestjs/common';
import type { ShoppingAnswer } from '#contract';
import { BatchesModule } from '../batches/batches.module.js';
import { BlendsModule } from '../blends/blends.module.js';
import { SheetsModule } from '../sheets/sheets.module.js';
import { ShoppingService } from './shopping.service.js';

/** Canes, and blends, that are looked at beside the batches. */
const MOST_BESIDE = 40;
const idsIn = (text: unknown): string[] =>
  typeof text === 'string' ? text.split(',').filter(Boolean).slice(0, MOST_BESIDE) : [];

@Controller('api')
class ShoppingController {
  constructor(@Inject(ShoppingService) private readonly service: ShoppingService) {}

  @Get('shopping')
  list(@Query('canes') canes?: string, @Query('blends') blends?: string): Promise<ShoppingAnswer> {
    return this.service.list({ canes: idsIn(canes), blends: idsIn(blends) });
  }
}

@Module({
  imports: [BatchesModule, BlendsModule, SheetsModule],
  controllers: [ShoppingController],
  providers: [ShoppingService],
})
export class ShoppingModule {}
