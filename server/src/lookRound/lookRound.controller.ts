import { Controller, Get, Headers, HttpCode, Inject, Post } from '@nestjs/common';
import type { GardenAnswer } from '#contract';
import { LookRoundService } from './lookRound.service.js';

@Controller('api/garden')
export class LookRoundController {
  constructor(@Inject(LookRoundService) private readonly garden: LookRoundService) {}

  /** Whether this is a garden to look round in. */
  @Get()
  here(): GardenAnswer {
    return { back: this.garden.back, address: null, copy: this.garden.copy };
  }

  /** Lays one out. */
  @Post()
  @HttpCode(200)
  async open(@Headers('host') host: string): Promise<GardenAnswer> {
    return { back: this.garden.back, address: await this.garden.open(`http://${host}`), copy: this.garden.copy };
  }
}
