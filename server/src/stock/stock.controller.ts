import { Body, Controller, Get, HttpCode, Inject, Param, Post, Put } from '@nestjs/common';
import {
  AwayDto,
  EmptiedDto,
  NotedDto,
  SlicedDto,
  TubDto,
  type MadeAnswer,
  type StockAnswer,
  type TubAnswer,
} from '#contract';
import { ChangeId } from '../access/changeId.js';
import { sameId } from '../access/problem.js';
import { StockService } from './stock.service.js';

@Controller('api')
export class StockController {
  constructor(@Inject(StockService) private readonly service: StockService) {}

  @Get('stock')
  all(): Promise<StockAnswer> {
    return this.service.all();
  }

  @Post('made/:id/noted')
  @HttpCode(200)
  noted(@Param('id') id: string, @ChangeId() change: string, @Body() body: NotedDto): Promise<MadeAnswer> {
    sameId(id, body.thing.id);
    return this.service.noted(change, body);
  }

  @Post('made/:id/away')
  @HttpCode(200)
  away(@Param('id') id: string, @ChangeId() change: string, @Body() body: AwayDto): Promise<MadeAnswer> {
    return this.service.away(change, id, body);
  }

  @Post('made/:id/sliced')
  @HttpCode(200)
  sliced(@Param('id') id: string, @ChangeId() change: string, @Body() body: SlicedDto): Promise<MadeAnswer> {
    return this.service.sliced(change, id, body);
  }

  @Put('tubs/:id')
  saveTub(@Param('id') id: string, @ChangeId() change: string, @Body() body: TubDto): Promise<TubAnswer> {
    sameId(id, body.id);
    return this.service.saveTub(change, body);
  }

  @Post('tubs/:id/emptied')
  @HttpCode(200)
  emptied(@Param('id') id: string, @ChangeId() change: string, @Body() body: EmptiedDto): Promise<TubAnswer> {
    return this.service.emptied(change, id, body);
  }
}
