import { Body, Controller, Delete, Get, HttpCode, Inject, Param, Put, Query } from '@nestjs/common';
import { BenchSetupDto, MachineDto, type MachinesAnswer } from '#contract';
import { ChangeId } from '../access/changeId.js';
import { sameId } from '../access/problem.js';
import { SheetsService } from './sheets.service.js';

@Controller('api')
export class SheetsController {
  constructor(@Inject(SheetsService) private readonly service: SheetsService) {}

  @Get('machines')
  all(): Promise<MachinesAnswer> {
    return this.service.all();
  }

  @Put('machines/:id')
  save(@Param('id') id: string, @ChangeId() change: string, @Body() body: MachineDto): Promise<MachineDto> {
    sameId(id, body.id);
    return this.service.save(change, body);
  }

  @Delete('machines/:id')
  @HttpCode(204)
  remove(@Param('id') id: string, @ChangeId() change: string, @Query('version') version: string): Promise<void> {
    return this.service.remove(change, id, Number(version));
  }

  @Put('bench')
  saveSetup(@ChangeId() change: string, @Body() body: BenchSetupDto): Promise<BenchSetupDto> {
    return this.service.saveSetup(change, body);
  }
}
