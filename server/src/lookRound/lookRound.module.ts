import { Module } from '@nestjs/common';
import { LookRoundController } from './lookRound.controller.js';
import { LookRoundService } from './lookRound.service.js';

@Module({ controllers: [LookRoundController], providers: [LookRoundService], exports: [LookRoundService] })
export class LookRoundModule {}
