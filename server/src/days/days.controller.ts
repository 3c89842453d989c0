import { Body, Controller, Get, Inject, Put } from '@nestjs/common';
import { DaysRuleDto, type DaysAnswer } from '#contract';
import { ChangeId } from '../access/changeId.js';
import { DaysService } from './days.service.js';

@Controller('api/days')
export class DaysController {
  constructor(@Inject(DaysService) private readonly service: DaysService) {}

  @Get()
  all(): Promise<DaysAnswer> {
    return this.service.all();
  }

  @Get('rule')
  rule(): Promise<DaysRuleDto> {
    return this.service.rule();
  }

  @Put('rule')
  save(@ChangeId() change: string, @Body() body: DaysRuleDto): Promise<DaysRuleDto> {
    return this.service.save(change, body);
  }
}
