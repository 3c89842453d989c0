import { Module } from '@nestjs/common';
import { MosaicsController } from './mosaics.controller.js';
import { MosaicsService } from './mosaics.service.js';

@Module({ controllers: [MosaicsController], providers: [MosaicsService] })
export class MosaicsModule {}
