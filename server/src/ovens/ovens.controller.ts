import { Body, Controller, Delete, Get, HttpCode, Inject, Param, Put, Query } from '@nestjs/common';
import { OvenDto, type OvensAnswer } from '#contract';
import { ChangeId } from '../access/changeId.js';
import { sameId } from '../access/problem.js';
import { OvensService } from './ovens.service.js';

/** Ovens of one's own, and what was read in them. */
@Controller('api/ovens')
export class OvensController {
  constructor(@Inject(OvensService) private readonly service: OvensService) {}

  @Get()
  all(): Promise<OvensAnswer> {
    return this.service.all();
  }

  @Put(':id')
  save(@Param('id') id: string, @ChangeId() change: string, @Body() body: OvenDto): Promise<OvenDto> {
    sameId(id, body.id);
    return this.service.save(change, body);
  }

  @Delete(':id')
  @HttpCode(204)
  remove(@Param('id') id: string, @ChangeId() change: string, @Query('version') version: string): Promise<void> {
    return this.service.remove(change, id, Number(version));
  }
}
