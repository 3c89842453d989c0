import { Module } from '@nestjs/common';
import { BlendsModule } from '../blends/blends.module.js';
import { CanesModule } from '../canes/canes.module.js';
import { SheetBookModule } from '../sheetBook/sheetBook.module.js';
import { DiaryController } from './diary.controller.js';
import { DiaryService } from './diary.service.js';
import { DiaryColours } from './diary.colours.js';
import { DiaryStore } from './diary.store.js';
import { LookBack } from './lookBack.js';
import { NextTime } from './nextTime.js';

@Module({
  imports: [BlendsModule, CanesModule, SheetBookModule],
  controllers: [DiaryController],
  providers: [DiaryService, DiaryStore, DiaryColours, NextTime, LookBack],
})
export class DiaryModule {}
