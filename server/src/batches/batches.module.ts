import { Module } from '@nestjs/common';
import { SheetsModule } from '../sheets/sheets.module.js';
import { Assemblies } from './assemblies.js';
import { AssemblyOrders } from './assemblyOrders.js';
import { BakesController, BatchesController } from './batches.controller.js';
import { BatchesService } from './batches.service.js';
import { BatchesStore } from './batches.store.js';
import { PiecesModule } from '../pieces/pieces.module.js';
import { Planning } from './planning.js';
import { Costs } from './costs.js';
import { ReservedThings } from './reserved.js';
import { WrittenBatch } from './writtenBatch.js';

@Module({
  imports: [SheetsModule, PiecesModule],
  controllers: [BatchesController, BakesController],
  providers: [BatchesService, BatchesStore, Planning, Assemblies, AssemblyOrders, ReservedThings, WrittenBatch, Costs],
  exports: [BatchesService],
})
export class BatchesModule {}
