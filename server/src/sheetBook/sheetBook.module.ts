import { Module } from '@nestjs/common';
import { BlendsModule } from '../blends/blends.module.js';
import { SheetBookController } from './sheetBook.controller.js';
import { SheetBookService } from './sheetBook.service.js';
import { SheetBookStore } from './sheetBook.store.js';

@Module({
  imports: [BlendsModule],
  controllers: [SheetBookController],
  providers: [SheetBookService, SheetBookStore],
  exports: [SheetBookService],
})
export class SheetBookModule {}
