import { Body, Controller, Get, Headers, HttpCode, Inject, Module, Post } from '@nestjs/common';
import { CHANGE_HEADER, StepDto, type ChangesAnswer } from '#contract';
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
  undo(@Body() { expects }: StepDto, @Headers(CHANGE_HEADER) change: string | undefined): Promise<ChangesAnswer> {
    return this.journal.undo(expects ?? undefined, change);
  }

  @Post('redo')
  @HttpCode(200)
  redo(@Body() { expects }: StepDto, @Headers(CHANGE_HEADER) change: string | undefined): Promise<ChangesAnswer> {
    return this.journal.redo(expects ?? undefined, change);
  }
}

@Module({ controllers: [ChangesController] })
export class ChangesModule {}
