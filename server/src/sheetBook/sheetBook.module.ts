import { Module } from '@nestjs/common';
import { SheetsModule } from '../sheets/sheets.module.js';
import { SheetBookController } from './sheetBook.controller.js';
import { SheetBookService } from './sheetBook.service.js';
import { SheetBookStore } from './sheetBook.store.js';

@Module({
  imports: [SheetsModule],
  controllers: [SheetBookController],
  providers: [SheetBookService, SheetBookStore],
  exports: [SheetBookService],
})
export class SheetBookModule {}
