import { Body, Controller, Get, HttpCode, Inject, Post } from '@nestjs/common';
import { TakeInDto, type TakeInAnswer, type TakeOutAnswer } from '#contract';
import { ChangeId } from '../access/changeId.js';
import { ExchangeService } from './exchange.service.js';

@Controller('api/exchange')
export class ExchangeController {
  constructor(@Inject(ExchangeService) private readonly service: ExchangeService) {}

  @Get('mixes')
  out(): Promise<TakeOutAnswer> {
    return this.service.out();
  }

  @Post('mixes')
  @HttpCode(200)
  takeIn(@ChangeId() change: string, @Body() body: TakeInDto): Promise<TakeInAnswer> {
    return this.service.takeIn(change, body);
  }
}
