import { Module } from '@nestjs/common';
import { BlendsModule } from '../blends/blends.module.js';
import { CanesController } from './canes.controller.js';
import { CanesService } from './canes.service.js';

@Module({ imports: [BlendsModule], controllers: [CanesController], providers: [CanesService], exports: [CanesService] })
export class CanesModule {}
