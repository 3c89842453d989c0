import { Module } from '@nestjs/common';
import { BlendsModule } from '../blends/blends.module.js';
import { CanesController } from './canes.controller.js';
import { CanesService } from './canes.service.js';
import { CanesStore } from './canes.store.js';

@Module({
  imports: [BlendsModule],
  controllers: [CanesController],
  providers: [CanesService, CanesStore],
  exports: [CanesService],
})
export class CanesModule {}
