import { Body, Controller, Get, HttpCode, Inject, Param, Post, Put } from '@nestjs/common';
import { ConditionedDto, RolledDto, MadeDto, type ConditionedAnswer, type MadeAnswer } from '#contract';
import { ChangeId } from '../access/changeId.js';
import { sameId } from '../access/problem.js';
import { SheetBookService } from './sheetBook.service.js';

@Controller('api')
export class SheetBookController {
  constructor(@Inject(SheetBookService) private readonly service: SheetBookService) {}

  @Get('sheets')
  all(): Promise<MadeAnswer[]> {
    return this.service.all();
  }

  @Put('sheets/:id')
  save(@Param('id') id: string, @ChangeId() change: string, @Body() body: MadeDto): Promise<MadeAnswer> {
    sameId(id, body.id);
    return this.service.save(change, body);
  }

  @Post('sheets/:id/rolled')
  @HttpCode(200)
  rolled(@Param('id') id: string, @ChangeId() change: string, @Body() body: RolledDto): Promise<MadeAnswer> {
    sameId(id, body.sheet.id);
    return this.service.rolled(change, body);
  }

  @Get('conditioned')
  conditioned(): Promise<ConditionedAnswer> {
    return this.service.conditioned();
  }

  @Post('conditioned')
  @HttpCode(200)
  write(@ChangeId() change: string, @Body() body: ConditionedDto): Promise<{ entryId: string }> {
    return this.service.writeConditioned(change, body);
  }
}
