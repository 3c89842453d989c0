import { Body, Controller, HttpCode, Inject, Param, Post } from '@nestjs/common';
import { BakedDto } from '#contract';
import { ChangeId } from '../access/changeId.js';
import { BakedService } from './baked.service.js';

/** A load was taken out of an oven. */
@Controller('api/ovens')
export class BakedController {
  constructor(@Inject(BakedService) private readonly service: BakedService) {}

  @Post(':id/baked')
  @HttpCode(200)
  baked(@Param('id') id: string, @ChangeId() change: string, @Body() body: BakedDto): Promise<{ entryId: string }> {
    return this.service.baked(change, id, body);
  }
}
