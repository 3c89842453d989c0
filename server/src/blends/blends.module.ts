import { Module } from '@nestjs/common';
import { BlendsController } from './blends.controller.js';
import { BlendsService } from './blends.service.js';
import { BlendsStore } from './blends.store.js';
import { PlanMaterials } from './planMaterials.js';

@Module({
  controllers: [BlendsController],
  providers: [BlendsService, BlendsStore, PlanMaterials],
  exports: [BlendsService, PlanMaterials],
})
export class BlendsModule {}
