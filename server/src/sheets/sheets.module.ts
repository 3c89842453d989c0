import { Module } from '@nestjs/common';
import { SheetsController } from './sheets.controller.js';
import { SheetsService } from './sheets.service.js';
import { SheetsStore } from './sheets.store.js';

@Module({ controllers: [SheetsController], providers: [SheetsService, SheetsStore], exports: [SheetsStore] })
export class SheetsModule {}
