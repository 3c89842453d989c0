import { Module } from '@nestjs/common';
import { BlendsController } from './blends.controller.js';
import { BlendsService } from './blends.service.js';
import { BlendsStore } from './blends.store.js';

@Module({ controllers: [BlendsController], providers: [BlendsService, BlendsStore], exports: [BlendsService] })
export class BlendsModule {}
