import { Module } from '@nestjs/common';
import { DaysModule } from '../days/days.module.js';
import { BakedController } from './baked.controller.js';
import { BakedService } from './baked.service.js';

@Module({ imports: [DaysModule], controllers: [BakedController], providers: [BakedService] })
export class BakedModule {}
