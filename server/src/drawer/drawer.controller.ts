import { Body, Controller, Delete, Get, HttpCode, Inject, Param, Put, Query } from '@nestjs/common';
import { OwnCutterDto, type DrawerAnswer } from '#contract';
import { ChangeId } from '../access/changeId.js';
import { sameId } from '../access/problem.js';
import { DrawerService } from './drawer.service.js';

/** The drawer of cutters. */
@Controller('api/cutters')
export class DrawerController {
  constructor(@Inject(DrawerService) private readonly service: DrawerService) {}

  @Get()
  all(): Promise<DrawerAnswer> {
    return this.service.all();
  }

  @Put(':id')
  save(@Param('id') id: string, @ChangeId() change: string, @Body() body: OwnCutterDto): Promise<OwnCutterDto> {
    sameId(id, body.id);
    return this.service.save(change, body);
  }

  @Delete(':id')
  @HttpCode(204)
  remove(@Param('id') id: string, @ChangeId() change: string, @Query('version') version: string): Promise<void> {
    return this.service.remove(change, id, Number(version));
  }
}
