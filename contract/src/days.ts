import type { BatchJob } from '#core/days';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsString, MaxLength } from 'class-validator';
import { Between, IsoDate, Things, Version } from './rules.js';

/** From one minute of the day to another. */
export class DayHoursDto {
  @Between('The beginning', 0, 1440, 'minutes') from!: number;
  @Between('The end', 0, 1440, 'minutes') to!: number;
}

/** The free hours of one weekday. */
export class WeekdayDto {
  @IsArray({ message: 'Free hours are a list.' })
  @ArrayMaxSize(8, { message: 'At most eight free stretches on a day.' })
  @Things(() => DayHoursDto)
  hours!: DayHoursDto[];
}

/** The free hours of one day of the calendar. */
export class DayExceptionDto extends WeekdayDto {
  @IsoDate() on!: string;
}

/** A job that somebody put there: minutes since 1970, UTC. */
export class DayMoveDto {
  @IsString({ message: 'Say which job.' }) @MaxLength(400, { message: 'This is no job.' }) jobId!: string;
  @Between('The moment', 0, 1e8, 'minutes') at!: number;
}

/** PUT /api/days/rule: when one is free, what was put where, and what is done of it. */
export class DaysRuleDto {
  @Version() version!: number;
  /** Monday first */
  @IsArray({ message: 'A week has seven days.' })
  @ArrayMinSize(7, { message: 'A week has seven days.' })
  @ArrayMaxSize(7, { message: 'A week has seven days.' })
  @Things(() => WeekdayDto)
  weekdays!: WeekdayDto[];
  @IsArray({ message: 'Single days are a list.' })
  @ArrayMaxSize(400, { message: 'At most 400 single days.' })
  @Things(() => DayExceptionDto)
  exceptions!: DayExceptionDto[];
  @IsArray({ message: 'Moves are a list.' })
  @ArrayMaxSize(400, { message: 'At most 400 jobs are put somewhere by hand.' })
  @Things(() => DayMoveDto)
  moves!: DayMoveDto[];
  /** jobs that are done, with the moment they were over: minutes since 1970, UTC */
  @IsArray({ message: 'What is done is a list.' })
  @ArrayMaxSize(2000, { message: 'At most 2,000 jobs are kept as done.' })
  @Things(() => DayMoveDto)
  done!: DayMoveDto[];
}

/** GET /api/days: all open batches with their jobs. */
export interface DaysAnswer {
  readonly batches: readonly { readonly id: string; readonly name: string; readonly dueOn: string | null }[];
  readonly jobs: readonly BatchJob[];
  /** what the bench has taught: minutes of a kind of step against those assumed, and from how many */
  readonly learned: readonly { readonly key: string; readonly factor: number; readonly from: number }[];
}
