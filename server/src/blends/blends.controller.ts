import { Body, Controller, Delete, Get, HttpCode, Inject, Param, Post, Put, Query } from '@nestjs/common';
import { BlendDoneDto, BlendDto, type BlendAnswer, type BlendCard } from '#contract';
import { ChangeId } from '../access/changeId.js';
import { sameId } from '../access/problem.js';
import { BlendsService } from './blends.service.js';

@Controller('api/blends')
export class BlendsController {
  constructor(@Inject(BlendsService) private readonly service: BlendsService) {}

  @Get()
  list(): Promise<BlendCard[]> {
    return this.service.cards();
  }

  @Get(':id')
  open(@Param('id') id: string): Promise<BlendAnswer> {
    return this.service.open(id);
  }

  @Put(':id')
  save(@Param('id') id: string, @ChangeId() change: string, @Body() body: BlendDto): Promise<BlendAnswer> {
    sameId(id, body.id);
    return this.service.save(change, body);
  }

  @Post(':id/done')
  @HttpCode(200)
  done(@Param('id') id: string, @ChangeId() change: string, @Body() body: BlendDoneDto): Promise<{ entryId: string }> {
    return this.service.done(change, id, body);
  }

  @Delete(':id')
  @HttpCode(204)
  remove(@Param('id') id: string, @ChangeId() change: string, @Query('version') version: string): Promise<void> {
    return this.service.remove(change, id, Number(version));
  }
}
