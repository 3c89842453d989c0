import { Body, Controller, Delete, Get, HttpCode, Inject, Param, Post, Put, Query } from '@nestjs/common';
import { CaneDoneDto, CaneDto, type CaneAnswer, type CaneCard, type CaneLookAnswer } from '#contract';
import { ChangeId } from '../access/changeId.js';
import { sameId } from '../access/problem.js';
import { CanesService } from './canes.service.js';

@Controller('api/canes')
export class CanesController {
  constructor(@Inject(CanesService) private readonly service: CanesService) {}

  @Get()
  list(): Promise<CaneCard[]> {
    return this.service.cards();
  }

  @Get('revisions/:revisionId')
  look(@Param('revisionId') revisionId: string): Promise<CaneLookAnswer> {
    return this.service.look(revisionId);
  }

  @Get(':id')
  open(@Param('id') id: string): Promise<CaneAnswer> {
    return this.service.open(id);
  }

  @Put(':id')
  save(@Param('id') id: string, @ChangeId() change: string, @Body() body: CaneDto): Promise<CaneAnswer> {
    sameId(id, body.id);
    return this.service.save(change, body);
  }

  @Post(':id/done')
  @HttpCode(200)
  done(@Param('id') id: string, @ChangeId() change: string, @Body() body: CaneDoneDto): Promise<{ entryId: string }> {
    return this.service.done(change, id, body);
  }

  @Delete(':id')
  @HttpCode(204)
  remove(@Param('id') id: string, @ChangeId() change: string, @Query('version') version: string): Promise<void> {
    return this.service.remove(change, id, Number(version));
  }
}
