import { Body, Controller, Delete, Get, HttpCode, Inject, Param, Post, Put, Query } from '@nestjs/common';
import {
  BatchDto,
  DoneDto,
  type MadeCountDto,
  type PlanAnswer,
  type BakesAnswer,
  type BatchAnswer,
  type BatchCard,
  type MostPiecesAnswer,
} from '#contract';
import { ChangeId } from '../access/changeId.js';
import { refused, sameId } from '../access/problem.js';
import { BatchesService } from './batches.service.js';

function madeIn(text: string): MadeCountDto[] {
  return text
    .split(',')
    .filter((one) => one !== '')
    .map((one) => {
      const [pieceId = '', count = ''] = one.split('.');
      if (!/^\d{1,4}$/.test(count)) throw refused('Say how many are finished.', 'made');
      return { pieceId, count: Number(count) };
    });
}

@Controller('api/batches')
export class BatchesController {
  constructor(@Inject(BatchesService) private readonly service: BatchesService) {}

  @Get()
  cards(): Promise<BatchCard[]> {
    return this.service.cards();
  }

  @Get(':id')
  open(@Param('id') id: string): Promise<BatchAnswer> {
    return this.service.open(id);
  }

  @Get(':id/most/:pieceId')
  most(@Param('id') id: string, @Param('pieceId') pieceId: string): Promise<MostPiecesAnswer> {
    return this.service.most(id, pieceId);
  }

  /** `made`: the ids of kinds with their counts, as `id.12,id.3`; the others whole */
  @Get(':id/part')
  part(@Param('id') id: string, @Query('made') made = ''): Promise<PlanAnswer> {
    return this.service.part(id, madeIn(made));
  }

  @Put(':id')
  save(@Param('id') id: string, @ChangeId() change: string, @Body() body: BatchDto): Promise<BatchAnswer> {
    sameId(id, body.id);
    return this.service.save(change, body);
  }

  @Delete(':id')
  @HttpCode(204)
  remove(@Param('id') id: string, @ChangeId() change: string, @Query('version') version: string): Promise<void> {
    return this.service.remove(change, id, Number(version));
  }

  @Post(':id/done')
  @HttpCode(200)
  done(@Param('id') id: string, @ChangeId() change: string, @Body() body: DoneDto): Promise<{ entryId: string }> {
    return this.service.done(change, id, body);
  }
}

/** What of all open batches goes into the oven. */
@Controller('api/bakes')
export class BakesController {
  constructor(@Inject(BatchesService) private readonly service: BatchesService) {}

  @Get()
  all(): Promise<BakesAnswer> {
    return this.service.bakes();
  }
}
