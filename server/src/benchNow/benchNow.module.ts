import { Body, Controller, Get, Inject, Module, Param, Put } from '@nestjs/common';
import { BenchNowDto, type BenchNowAnswer } from '#contract';
import { sameId } from '../access/problem.js';
import { BenchNowService } from './benchNow.service.js';

@Controller('api/bench/now')
export class BenchNowController {
  constructor(@Inject(BenchNowService) private readonly service: BenchNowService) {}

  @Get()
  now(): BenchNowAnswer {
    return this.service.now();
  }

  @Put(':kind')
  say(@Param('kind') kind: string, @Body() body: BenchNowDto): Promise<BenchNowAnswer> {
    sameId(kind, body.kind);
    return this.service.say(body);
  }
}

/** What all devices share of the bench, without it being a change. */
@Module({ controllers: [BenchNowController], providers: [BenchNowService] })
export class BenchNowModule {}
