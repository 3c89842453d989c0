import { Module } from '@nestjs/common';
import { SheetsModule } from '../sheets/sheets.module.js';
import { BatchesController } from './batches.controller.js';
import { BatchesService } from './batches.service.js';
import { BatchesStore } from './batches.store.js';
import { Planning } from './planning.js';

@Module({
  imports: [SheetsModule],
  controllers: [BatchesController],
  providers: [BatchesService, BatchesStore, Planning],
  exports: [BatchesService],
})
export class BatchesModule {}
