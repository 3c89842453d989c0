import { Body, Controller, Delete, Get, HttpCode, Inject, Param, Put, Query } from '@nestjs/common';
import { MosaicDto, type MosaicAnswer, type MosaicCard } from '#contract';
import { ChangeId } from '../access/changeId.js';
import { sameId } from '../access/problem.js';
import { MosaicsService } from './mosaics.service.js';

@Controller('api/mosaics')
export class MosaicsController {
  constructor(@Inject(MosaicsService) private readonly service: MosaicsService) {}

  @Get()
  list(): Promise<MosaicCard[]> {
    return this.service.cards();
  }

  @Get(':id')
  open(@Param('id') id: string): Promise<MosaicAnswer> {
    return this.service.open(id);
  }

  @Put(':id')
  save(@Param('id') id: string, @ChangeId() change: string, @Body() body: MosaicDto): Promise<MosaicAnswer> {
    sameId(id, body.id);
    return this.service.save(change, body);
  }

  @Delete(':id')
  @HttpCode(204)
  remove(@Param('id') id: string, @ChangeId() change: string, @Query('version') version: string): Promise<void> {
    return this.service.remove(change, id, Number(version));
  }
}
