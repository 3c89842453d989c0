import { Module } from '@nestjs/common';
import { BlendsModule } from '../blends/blends.module.js';
import { PatternsController } from './patterns.controller.js';
import { PatternsService } from './patterns.service.js';

@Module({ imports: [BlendsModule], controllers: [PatternsController], providers: [PatternsService] })
export class PatternsModule {}
