import {
  Body,
  Controller,
  Delete,
  Get,
  HttpCode,
  Inject,
  Param,
  Post,
  Query,
  Req,
  StreamableFile,
} from '@nestjs/common';
import type { Request } from 'express';
import { TakeThingDto, type CarryAnswer, type SentThingAnswer, type WholeAnswer } from '#contract';
import { ChangeId } from '../../access/changeId.js';
import { SentThings } from './things.service.js';
import { WholeArchive } from './whole.service.js';

@Controller('api/archive/whole')
export class WholeController {
  constructor(@Inject(WholeArchive) private readonly whole: WholeArchive) {}

  @Get()
  now(): WholeAnswer {
    return this.whole.told();
  }

  @Post('out')
  @HttpCode(202)
  out(): WholeAnswer {
    return this.whole.out();
  }

  @Get('file')
  file(): StreamableFile {
    const { stream, bytes } = this.whole.file();
    const day = new Date().toISOString().slice(0, 'yyyy-mm-dd'.length);
    return new StreamableFile(stream, {
      type: 'application/zip',
      length: bytes,
      disposition: `attachment; filename="Sledge ${day}.zip"`,
    });
  }

  /** The bytes of an archive as the body. */
  @Post('in')
  @HttpCode(202)
  in(@Req() request: Request, @Query('name') name: string | undefined): Promise<WholeAnswer> {
    return this.whole.in(request, (name ?? '').slice(0, 200));
  }

  @Delete()
  stop(): WholeAnswer {
    return this.whole.stop();
  }
}

type Sent = Awaited<ReturnType<SentThings['out']>>;

/** A thing as a file that is saved under its name. */
function asFile({ name, stream, bytes }: Sent): StreamableFile {
  const ascii = name.replace(/[^\w ,()-]/g, '_');
  const encoded = encodeURIComponent(name);
  return new StreamableFile(stream, {
    type: 'application/zip',
    length: bytes,
    disposition: `attachment; filename="${ascii}.sledge.zip"; filename*=UTF-8''${encoded}.sledge.zip`,
  });
}

@Controller('api/archive/thing')
export class ThingsController {
  constructor(@Inject(SentThings) private readonly things: SentThings) {}

  @Get('card/:token')
  card(@Param('token') token: string): StreamableFile {
    return new StreamableFile(this.things.card(token), { type: 'image/png' });
  }

  @Get(':kind/:id')
  async out(@Param('kind') kind: string, @Param('id') id: string): Promise<StreamableFile> {
    return asFile(await this.things.out(kind, id));
  }

  /** The bytes of its picture card as the body. */
  @Post(':kind/:id')
  @HttpCode(200)
  async outWithCard(
    @Req() request: Request,
    @Param('kind') kind: string,
    @Param('id') id: string,
  ): Promise<StreamableFile> {
    return asFile(await this.things.out(kind, id, request));
  }

  /** The bytes of a file as the body. */
  @Post()
  @HttpCode(200)
  look(@Req() request: Request): Promise<SentThingAnswer> {
    return this.things.look(request);
  }

  @Post('take')
  @HttpCode(200)
  take(@ChangeId() change: string, @Body() { token }: TakeThingDto): Promise<CarryAnswer> {
    return this.things.take(change, token);
  }

  @Delete(':token')
  @HttpCode(204)
  letGo(@Param('token') token: string): void {
    this.things.letGo(token);
  }
}
