import { Body, Controller, HttpCode, Inject, Param, Post } from '@nestjs/common';
import { RescuedDto, type RescuedAnswer } from '#contract';
import { ChangeId } from '../access/changeId.js';
import { RescueService } from './rescue.service.js';

@Controller('api/blocks')
export class RescueController {
  constructor(@Inject(RescueService) private readonly service: RescueService) {}

  @Post(':id/rescued')
  @HttpCode(200)
  rescued(@Param('id') id: string, @ChangeId() change: string, @Body() body: RescuedDto): Promise<RescuedAnswer> {
    return this.service.rescued(change, id, body);
  }
}
