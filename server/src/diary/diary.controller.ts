import { Body, Controller, Get, HttpCode, Inject, Param, Post, Put, Query } from '@nestjs/common';
import {
  DiaryNoteDto,
  NextTimeDto,
  type DescentAnswer,
  type DiaryAnswer,
  type DiaryListAnswer,
  type MonthsAnswer,
  type PlanNoted,
  type WallAnswer,
} from '#contract';
import { ChangeId, fromQuery } from '../access/changeId.js';
import { sameId } from '../access/problem.js';
import { LookBack } from './lookBack.js';
import { NextTime } from './nextTime.js';
import { DiaryService } from './diary.service.js';

@Controller('api/diary')
export class DiaryController {
  constructor(
    @Inject(DiaryService) private readonly service: DiaryService,
    @Inject(NextTime) private readonly nextTime: NextTime,
    @Inject(LookBack) private readonly lookBack: LookBack,
  ) {}

  @Get()
  list(@Query() query: Record<string, string | undefined>): Promise<DiaryListAnswer> {
    return this.service.list({
      search: (query.search ?? '').slice(0, 200),
      near: /^[0-9a-f]{6}$/i.test(query.near ?? '') ? (query.near ?? null) : null,
      offset: fromQuery(query.offset, 0, 0, 1e9),
      limit: fromQuery(query.limit, 60, 1, 500),
    });
  }

  @Get('wall')
  wall(@Query() query: Record<string, string | undefined>): Promise<WallAnswer> {
    return this.lookBack.wall(fromQuery(query.offset, 0, 0, 1e9), fromQuery(query.limit, 60, 1, 500));
  }

  @Get('months')
  months(): Promise<MonthsAnswer> {
    return this.lookBack.months();
  }

  @Get(':id/descent')
  descent(@Param('id') id: string): Promise<DescentAnswer> {
    return this.lookBack.descent(id);
  }

  @Get(':id')
  open(@Param('id') id: string): Promise<DiaryAnswer> {
    return this.service.open(id);
  }

  @Put(':id')
  save(@Param('id') id: string, @ChangeId() change: string, @Body() body: DiaryNoteDto): Promise<DiaryAnswer> {
    sameId(id, body.id);
    return this.service.saveNote(change, body);
  }

  @Post(':id/next')
  @HttpCode(200)
  next(@Param('id') id: string, @ChangeId() change: string, @Body() body: NextTimeDto): Promise<PlanNoted> {
    return this.nextTime.write(change, id, body);
  }
}
