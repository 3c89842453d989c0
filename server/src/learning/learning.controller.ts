import { Body, Controller, Get, Inject, Put } from '@nestjs/common';
import { LearningDto, UseLearnedDto, type LearningAnswer } from '#contract';
import { LearningService } from './learning.service.js';

@Controller('api/learning')
export class LearningController {
  constructor(@Inject(LearningService) private readonly service: LearningService) {}

  @Get()
  now(): Promise<LearningAnswer> {
    return this.service.now();
  }

  @Put()
  keep(@Body() body: LearningDto): Promise<LearningAnswer> {
    return this.service.keep(body);
  }

  @Put('use')
  use(@Body() body: UseLearnedDto): Promise<LearningAnswer> {
    return this.service.use(body.use);
  }
}
