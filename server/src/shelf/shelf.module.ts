import { Module } from '@nestjs/common';
import { ShelfController } from './shelf.controller.js';
import { ShelfService } from './shelf.service.js';
import { ShelfStore } from './shelf.store.js';

@Module({ controllers: [ShelfController], providers: [ShelfService, ShelfStore] })
export class ShelfModule {}
