import { Module } from '@nestjs/common';
import { BatchesModule } from '../batches/batches.module.js';
import { BlendsModule } from '../blends/blends.module.js';
import { SheetsModule } from '../sheets/sheets.module.js';
import { TaughtController } from './taught.controller.js';
import { TaughtService } from './taught.service.js';

@Module({
  imports: [BatchesModule, BlendsModule, SheetsModule],
  controllers: [TaughtController],
  providers: [TaughtService],
})
export class TaughtModule {}
