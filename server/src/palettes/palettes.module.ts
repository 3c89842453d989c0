import { Module } from '@nestjs/common';
import { PalettesController } from './palettes.controller.js';
import { PalettesService } from './palettes.service.js';
import { PalettesStore } from './palettes.store.js';

@Module({ controllers: [PalettesController], providers: [PalettesService, PalettesStore] })
export class PalettesModule {}
