import { Body, Controller, Delete, Get, HttpCode, Inject, Param, Post, Put, Req, Res } from '@nestjs/common';
import type { Request, Response } from 'express';
import { CodeDto, LetInCardDto, LetInDto, NetworkDto, type MeAnswer, type NetworkAnswer } from '#contract';
import { notThere, sameId } from '../access/problem.js';
import { deviceOf, isFromNetwork } from './door.js';
import { NetworkService } from './network.service.js';
import { keepSession } from './session.js';

@Controller('api/network')
export class NetworkController {
  constructor(@Inject(NetworkService) private readonly service: NetworkService) {}

  @Get()
  now(): NetworkAnswer {
    return this.service.told();
  }

  @Put()
  turn(@Body() { on }: NetworkDto): Promise<NetworkAnswer> {
    return this.service.turn(on);
  }

  @Post('code')
  @HttpCode(200)
  code(@Body() { rights }: CodeDto): NetworkAnswer {
    return this.service.makeCode(rights);
  }

  @Delete('code')
  letCodeGo(): NetworkAnswer {
    return this.service.letCodeGo();
  }

  @Put('devices/:id')
  change(@Param('id') id: string, @Body() body: LetInCardDto): NetworkAnswer {
    sameId(id, body.id);
    return this.service.change(body);
  }

  @Delete('devices/:id')
  shutOut(@Param('id') id: string): NetworkAnswer {
    return this.service.shutOut(id);
  }

  @Get('me')
  me(@Req() request: Request): MeAnswer {
    const device = deviceOf(request);
    return { here: device === null, name: device?.name ?? null, rights: device?.rights ?? 'all' };
  }

  /** The one thing that is heard before one is let in. */
  @Post('in')
  @HttpCode(204)
  letIn(@Body() body: LetInDto, @Req() request: Request, @Res({ passthrough: true }) response: Response): void {
    if (!isFromNetwork(request)) throw notThere('This page');
    keepSession(response, this.service.letIn(body, request.socket.remoteAddress ?? ''));
  }
}
