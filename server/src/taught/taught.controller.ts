import { Body, Controller, Get, Inject, Param, Put } from '@nestjs/common';
import { AsideDto, type TaughtAnswer } from '#contract';
import { ChangeId } from '../access/changeId.js';
import { TaughtService } from './taught.service.js';

@Controller('api/taught')
export class TaughtController {
  constructor(@Inject(TaughtService) private readonly service: TaughtService) {}

  @Get()
  all(): Promise<TaughtAnswer> {
    return this.service.all();
  }

  @Put(':key')
  setAside(@Param('key') key: string, @ChangeId() change: string, @Body() body: AsideDto): Promise<TaughtAnswer> {
    return this.service.setAside(change, key, body);
  }
}
