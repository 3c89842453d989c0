import {
  Body,
  Controller,
  Delete,
  Get,
  Headers,
  HttpCode,
  Inject,
  Param,
  Post,
  Put,
  Req,
  Res,
  StreamableFile,
} from '@nestjs/common';
import type { Request, Response } from 'express';
import {
  CarryAllDto,
  CarryDto,
  KeepCopyDto,
  RuleFolderDto,
  TakeUpDto,
  type ArchiveAnswer,
  type CarryAllAnswer,
  type CarryAnswer,
  type CheckedCopy,
  type GardenAnswer,
  type RuleAnswer,
} from '#contract';
import { ChangeId } from '../access/changeId.js';
import { LookRoundService } from '../lookRound/lookRound.service.js';
import { CarryService } from './carry.service.js';
import { RuledCopies } from './ruled.service.js';
import { ArchiveService } from './archive.service.js';

@Controller('api/archive')
export class ArchiveController {
  constructor(
    @Inject(ArchiveService) private readonly service: ArchiveService,
    @Inject(RuledCopies) private readonly ruled: RuledCopies,
    @Inject(CarryService) private readonly carrying: CarryService,
    @Inject(LookRoundService) private readonly lookRound: LookRoundService,
  ) {}

  @Get()
  all(): ArchiveAnswer {
    return this.service.all();
  }

  @Post('notices-read')
  @HttpCode(204)
  noticesRead(): void {
    this.service.noticesRead();
  }

  @Put('rule')
  chooseFolder(@Body() body: RuleFolderDto): Promise<RuleAnswer> {
    return this.ruled.choose(body.folder);
  }

  /** Keeps one by the rule at once. */
  @Post('rule/now')
  @HttpCode(200)
  keepByRule(): Promise<RuleAnswer> {
    return this.ruled.now();
  }

  @Post('copies')
  @HttpCode(200)
  keep(@Body() body: KeepCopyDto): Promise<CheckedCopy> {
    return this.service.keep(body.name);
  }

  @Get('copies/:name')
  download(@Param('name') name: string): StreamableFile {
    const { stream, bytes } = this.service.open(name);
    const ascii = name.replace(/[^\w ,()-]/g, '_');
    return new StreamableFile(stream, {
      type: 'application/vnd.sqlite3',
      length: bytes,
      disposition: `attachment; filename="${ascii}.db"; filename*=UTF-8''${encodeURIComponent(name)}.db`,
    });
  }

  @Delete('copies/:name')
  @HttpCode(204)
  letGo(@Param('name') name: string): void {
    this.service.letGo(name);
  }

  @Post('look')
  @HttpCode(200)
  look(@Body() body: TakeUpDto): Promise<CheckedCopy> {
    return this.service.look(body.name);
  }

  /** One thing out of a copy, with everything that it needs. */
  @Post('carry')
  @HttpCode(200)
  carry(@ChangeId() change: string, @Body() body: CarryDto): Promise<CarryAnswer> {
    return this.carrying.carry(change, body);
  }

  /** All of a copy that is not here. */
  @Post('carry-all')
  @HttpCode(200)
  carryAll(@ChangeId() change: string, @Body() body: CarryAllDto): Promise<CarryAllAnswer> {
    return this.carrying.carryAll(change, body);
  }

  /** Another Sledge on a copy of this copy, to look into it. */
  @Post('copies/:name/beside')
  @HttpCode(200)
  async beside(@Param('name') name: string, @Headers('host') host: string): Promise<GardenAnswer> {
    const address = await this.lookRound.open(`http://${host}`, { name, path: this.service.path(name) });
    return { back: null, address, copy: name };
  }

  @Post('take-up')
  @HttpCode(202)
  async takeUp(@Body() body: TakeUpDto, @Res({ passthrough: true }) response: Response): Promise<void> {
    await this.service.takeUp(body.name);
    this.afterAnswer(response);
  }

  /** A database as the body, as bytes. */
  @Post('take-up-file')
  @HttpCode(202)
  async takeUpFile(@Req() request: Request, @Res({ passthrough: true }) response: Response): Promise<void> {
    await this.service.takeUpFile(request);
    this.afterAnswer(response);
  }

  private afterAnswer(response: Response): void {
    response.once('close', () => {
      void this.service.takeOver();
    });
  }
}
