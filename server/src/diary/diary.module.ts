import { Module } from '@nestjs/common';
import { DiaryController } from './diary.controller.js';
import { DiaryService } from './diary.service.js';
import { DiaryStore } from './diary.store.js';

@Module({ controllers: [DiaryController], providers: [DiaryService, DiaryStore] })
export class DiaryModule {}
