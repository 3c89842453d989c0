import { Controller, Get, HttpCode, Inject, Module, Post } from '@nestjs/common';
import type { ChangesAnswer } from '#contract';
import { Journal } from '../db/journal.js';

@Controller('api')
export class ChangesController {
  constructor(@Inject(Journal) private readonly journal: Journal) {}

  @Get('changes')
  state(): Promise<ChangesAnswer> {
    return this.journal.state();
  }

  @Post('undo')
  @HttpCode(200)
  undo(): Promise<ChangesAnswer> {
    return this.journal.undo();
  }

  @Post('redo')
  @HttpCode(200)
  redo(): Promise<ChangesAnswer> {
    return this.journal.redo();
  }
}

@Module({ controllers: [ChangesController] })
export class ChangesModule {}
