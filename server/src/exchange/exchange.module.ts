import { Module } from '@nestjs/common';
import { ExchangeController } from './exchange.controller.js';
import { ExchangeService } from './exchange.service.js';

@Module({ controllers: [ExchangeController], providers: [ExchangeService] })
export class ExchangeModule {}
