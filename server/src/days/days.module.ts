import { Module } from '@nestjs/common';
import { BatchesModule } from '../batches/batches.module.js';
import { DaysController } from './days.controller.js';
import { DaysService } from './days.service.js';

@Module({ imports: [BatchesModule], controllers: [DaysController], providers: [DaysService], exports: [DaysService] })
export class DaysModule {}
