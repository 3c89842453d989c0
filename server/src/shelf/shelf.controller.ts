import { Body, Controller, Delete, Get, HttpCode, Inject, Param, Post, Put, Query } from '@nestjs/common';
import {
  BlockDto,
  ClayDto,
  LineDto,
  ShelfListDto,
  type ShelfAnswer,
  type ShelfListAnswer,
  type UsedInAnswer,
} from '#contract';
import { ChangeId } from '../access/changeId.js';
import { sameId } from '../access/problem.js';
import { ShelfService } from './shelf.service.js';

@Controller('api')
export class ShelfController {
  constructor(@Inject(ShelfService) private readonly service: ShelfService) {}

  @Get('shelf')
  all(): ShelfAnswer {
    return this.service.all();
  }

  @Post('shelf/list')
  @HttpCode(200)
  list(@ChangeId() change: string, @Body() body: ShelfListDto): Promise<ShelfListAnswer> {
    return this.service.list(change, body);
  }

  @Get('clays/:id/used-in')
  usedIn(@Param('id') id: string): Promise<UsedInAnswer> {
    return this.service.usedIn(id);
  }

  @Put('lines/:id')
  saveLine(@Param('id') id: string, @ChangeId() change: string, @Body() body: LineDto): Promise<LineDto> {
    sameId(id, body.id);
    return this.service.saveLine(change, body);
  }

  @Put('clays/:id')
  saveClay(@Param('id') id: string, @ChangeId() change: string, @Body() body: ClayDto): Promise<ClayDto> {
    sameId(id, body.id);
    return this.service.saveClay(change, body);
  }

  @Put('blocks/:id')
  saveBlock(@Param('id') id: string, @ChangeId() change: string, @Body() body: BlockDto): Promise<BlockDto> {
    sameId(id, body.id);
    return this.service.saveBlock(change, body);
  }

  @Delete('lines/:id')
  @HttpCode(204)
  removeLine(@Param('id') id: string, @ChangeId() change: string, @Query('version') version: string): Promise<void> {
    return this.service.removeLine(change, id, Number(version));
  }

  @Delete('clays/:id')
  @HttpCode(204)
  removeClay(@Param('id') id: string, @ChangeId() change: string, @Query('version') version: string): Promise<void> {
    return this.service.removeClay(change, id, Number(version));
  }

  @Delete('blocks/:id')
  @HttpCode(204)
  removeBlock(@Param('id') id: string, @ChangeId() change: string, @Query('version') version: string): Promise<void> {
    return this.service.removeBlock(change, id, Number(version));
  }
}
