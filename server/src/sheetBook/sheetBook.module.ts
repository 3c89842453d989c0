import { Module } from '@nestjs/common';
import { SheetBookController } from './sheetBook.controller.js';
import { SheetBookService } from './sheetBook.service.js';
import { SheetBookStore } from './sheetBook.store.js';

@Module({
  controllers: [SheetBookController],
  providers: [SheetBookService, SheetBookStore],
  exports: [SheetBookService],
})
export class SheetBookModule {}
