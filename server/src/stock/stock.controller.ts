import { Body, Controller, Get, Header, HttpCode, Inject, Param, Post, Put } from '@nestjs/common';
import {
  AwayDto,
  EmptiedDto,
  LaidDto,
  NotedDto,
  SlicedDto,
  StretchedDto,
  TubDto,
  type MadeAnswer,
  type TubAnswer,
} from '#contract';
import { ChangeId } from '../access/changeId.js';
import { sameId } from '../access/problem.js';
import { StockService } from './stock.service.js';
import { TubsService } from './tubs.service.js';

@Controller('api')
export class StockController {
  constructor(
    @Inject(StockService) private readonly service: StockService,
    @Inject(TubsService) private readonly tubs: TubsService,
  ) {}

  /** `StockAnswer`, written once for as long as nothing changes. */
  @Get('stock')
  @Header('content-type', 'application/json; charset=utf-8')
  all(): Promise<string> {
    return this.service.written();
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

  @Post('made/:id/laid')
  @HttpCode(200)
  laid(@Param('id') id: string, @ChangeId() change: string, @Body() body: LaidDto): Promise<MadeAnswer> {
    return this.service.laid(change, id, body);
  }

  @Put('tubs/:id')
  saveTub(@Param('id') id: string, @ChangeId() change: string, @Body() body: TubDto): Promise<TubAnswer> {
    sameId(id, body.id);
    return this.tubs.save(change, body);
  }

  @Post('tubs/:id/stretched')
  @HttpCode(200)
  stretched(@Param('id') id: string, @ChangeId() change: string, @Body() body: StretchedDto): Promise<TubAnswer> {
    return this.tubs.stretched(change, id, body);
  }

  @Post('tubs/:id/emptied')
  @HttpCode(200)
  emptied(@Param('id') id: string, @ChangeId() change: string, @Body() body: EmptiedDto): Promise<TubAnswer> {
    return this.tubs.emptied(change, id, body);
  }
}
