import { Body, Controller, Delete, Get, HttpCode, Inject, Param, Post, Put, Query } from '@nestjs/common';
import { PatternDoneDto, PatternDto, type PatternAnswer, type PatternCard, type PatternLookAnswer } from '#contract';
import { ChangeId } from '../access/changeId.js';
import { sameId } from '../access/problem.js';
import { PatternsService } from './patterns.service.js';

@Controller('api/patterns')
export class PatternsController {
  constructor(@Inject(PatternsService) private readonly service: PatternsService) {}

  @Get()
  list(): Promise<PatternCard[]> {
    return this.service.cards();
  }

  @Get('revisions/:revisionId')
  look(@Param('revisionId') revisionId: string): Promise<PatternLookAnswer> {
    return this.service.look(revisionId);
  }

  @Get(':id')
  open(@Param('id') id: string): Promise<PatternAnswer> {
    return this.service.open(id);
  }

  @Put(':id')
  save(@Param('id') id: string, @ChangeId() change: string, @Body() body: PatternDto): Promise<PatternAnswer> {
    sameId(id, body.id);
    return this.service.save(change, body);
  }

  @Post(':id/done')
  @HttpCode(200)
  done(
    @Param('id') id: string,
    @ChangeId() change: string,
    @Body() body: PatternDoneDto,
  ): Promise<{ entryId: string }> {
    return this.service.done(change, id, body);
  }

  @Delete(':id')
  @HttpCode(204)
  remove(@Param('id') id: string, @ChangeId() change: string, @Query('version') version: string): Promise<void> {
    return this.service.remove(change, id, Number(version));
  }
}
