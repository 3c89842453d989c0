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
import { KindsWritten } from './kindsWritten.js';
import { OvensModule } from '../ovens/ovens.module.js';
import { Breakage } from './breakage.js';
import { StepTimes } from './stepTimes.js';
import { ReservedThings } from './reserved.js';
import { WrittenBatch } from './writtenBatch.js';

@Module({
  imports: [SheetsModule, PiecesModule, OvensModule],
  controllers: [BatchesController, BakesController],
  providers: [
    BatchesService,
    BatchesStore,
    Planning,
    Assemblies,
    AssemblyOrders,
    KindsWritten,
    ReservedThings,
    StepTimes,
    Breakage,
    WrittenBatch,
    Costs,
  ],
  exports: [BatchesService, StepTimes, Breakage],
})
export class BatchesModule {}
