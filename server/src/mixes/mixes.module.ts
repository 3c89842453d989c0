import { Global, Module } from '@nestjs/common';
import { Board } from './board.js';
import { MixesController } from './mixes.controller.js';
import { MixesService } from './mixes.service.js';
import { MixesStore } from './mixes.store.js';
import { Studio } from './studio.js';

@Global()
@Module({
  controllers: [MixesController],
  providers: [MixesService, MixesStore, Studio, Board],
  exports: [Board, Studio, MixesService],
})
export class MixesModule {}
