import { Body, Controller, Delete, Get, HttpCode, Inject, Param, Post, Put, Query } from '@nestjs/common';
import {
  ChipDto,
  MIX_SORTS,
  MixDto,
  NotationDto,
  type GlassAnswer,
  MixAnswer,
  type MixListAnswer,
  type NearMixAnswer,
  type NotationAnswer,
  type RevisionAnswer,
} from '#contract';
import { ChangeId, fromQuery } from '../access/changeId.js';
import { sameId } from '../access/problem.js';
import { Board } from './board.js';
import { MixesService } from './mixes.service.js';

/** Tints that are offered at once. */
const MOST_GLASS = 6;

@Controller('api')
export class MixesController {
  constructor(
    @Inject(MixesService) private readonly service: MixesService,
    @Inject(Board) private readonly board: Board,
  ) {}

  @Get('mixes')
  list(@Query() query: Record<string, string | undefined>): MixListAnswer {
    return this.board.list({
      search: (query.search ?? '').slice(0, 200),
      now: fromQuery(query.now, 0, 0, 100_000),
      retired: query.retired === '1',
      sort: MIX_SORTS.find((s) => s === query.sort) ?? 'hue',
      offset: fromQuery(query.offset, 0, 0, 1e9),
      limit: fromQuery(query.limit, 60, 1, 500),
    });
  }

  /** The mix that looks most like a colour; none where there is no mix. */
  @Get('mixes/near')
  near(@Query() query: Record<string, string | undefined>): NearMixAnswer {
    const lab = {
      l: fromQuery(query.l, 50, 0, 100),
      a: fromQuery(query.a, 0, -150, 150),
      b: fromQuery(query.b, 0, -150, 150),
    };
    const [nearest] = this.board.near(lab, { without: '', grams: 0, most: 1 });
    if (!nearest) return { nearest: null };
    const { id, revisionId, name, hex, deltaE } = nearest;
    return { nearest: { id, revisionId, name, hex, deltaE } };
  }

  @Get('glass')
  async glass(): Promise<GlassAnswer> {
    const glass = this.board.glass(MOST_GLASS);
    const referenced = await Promise.all(glass.map((id) => this.service.withAll(id)));
    return { glass, referenced: referenced.flat() };
  }

  @Get('mixes/:id')
  open(@Param('id') id: string): Promise<MixAnswer> {
    return this.service.open(id);
  }

  @Put('mixes/:id')
  save(@Param('id') id: string, @ChangeId() change: string, @Body() body: MixDto): Promise<MixAnswer> {
    sameId(id, body.id);
    return this.service.save(change, body);
  }

  @Delete('mixes/:id')
  @HttpCode(204)
  remove(@Param('id') id: string, @ChangeId() change: string, @Query('version') version: string): Promise<void> {
    return this.service.remove(change, id, Number(version));
  }

  @Put('chips/:id')
  saveChip(@Param('id') id: string, @ChangeId() change: string, @Body() body: ChipDto): Promise<ChipDto> {
    sameId(id, body.id);
    return this.service.saveChip(change, body);
  }

  @Delete('chips/:id')
  @HttpCode(204)
  removeChip(@Param('id') id: string, @ChangeId() change: string, @Query('version') version: string): Promise<void> {
    return this.service.removeChip(change, id, Number(version));
  }

  @Get('revisions/:id')
  revisions(@Param('id') id: string): Promise<RevisionAnswer[]> {
    return this.service.withAll(id);
  }

  @Post('notation')
  @HttpCode(200)
  read(@Body() body: NotationDto): Promise<NotationAnswer> {
    return this.service.read(body.text);
  }
}
