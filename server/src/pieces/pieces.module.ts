import { Module } from '@nestjs/common';
import { PiecesController } from './pieces.controller.js';
import { PiecesService } from './pieces.service.js';

@Module({ controllers: [PiecesController], providers: [PiecesService], exports: [PiecesService] })
export class PiecesModule {}
