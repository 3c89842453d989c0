import { Body, Controller, Delete, Get, HttpCode, Inject, Param, Put, Query } from '@nestjs/common';
import { FindingDto, PieceModelDto, type FindingsAnswer, type PieceModelsAnswer } from '#contract';
import { ChangeId } from '../access/changeId.js';
import { sameId } from '../access/problem.js';
import { PiecesService } from './pieces.service.js';

@Controller('api/pieces')
export class PiecesController {
  constructor(@Inject(PiecesService) private readonly service: PiecesService) {}

  @Get('models')
  models(): Promise<PieceModelsAnswer> {
    return this.service.models();
  }

  @Put('models/:id')
  saveModel(@Param('id') id: string, @ChangeId() change: string, @Body() body: PieceModelDto): Promise<PieceModelDto> {
    sameId(id, body.id);
    return this.service.saveModel(change, body);
  }

  @Delete('models/:id')
  @HttpCode(204)
  removeModel(@Param('id') id: string, @ChangeId() change: string, @Query('version') version: string): Promise<void> {
    return this.service.removeModel(change, id, Number(version));
  }

  @Get('findings')
  findings(): Promise<FindingsAnswer> {
    return this.service.findings();
  }

  @Put('findings/:id')
  saveFinding(@Param('id') id: string, @ChangeId() change: string, @Body() body: FindingDto): Promise<FindingDto> {
    sameId(id, body.id);
    return this.service.saveFinding(change, body);
  }

  @Delete('findings/:id')
  @HttpCode(204)
  removeFinding(@Param('id') id: string, @ChangeId() change: string, @Query('version') version: string): Promise<void> {
    return this.service.removeFinding(change, id, Number(version));
  }
}
