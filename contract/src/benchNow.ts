import { ArrayMaxSize, IsArray, IsBoolean, IsIn, IsInt, IsString, Matches, Max, Min } from 'class-validator';
import { BakedItemDto } from './ovens.js';
import { Between, Id, Inside, Name, Omittable, Optional, Text, Things, Whole, all } from './rules.js';

/**
 * What lies at the bench just now, and is no change of the data: how far a bench has come, what is waited for, what is
 * in the oven. All devices share it. Moments are ms since 1970 by the clock of Sledge.
 */
export const BENCH_KINDS = ['place', 'timer', 'load'] as const;
export type BenchKind = (typeof BENCH_KINDS)[number];

const Moment = (): PropertyDecorator =>
  all(
    IsInt({ message: 'A moment is a number of milliseconds.' }),
    Min(0, { message: 'A moment is a number of milliseconds.' }),
    Max(8.64e15, { message: 'A moment is a number of milliseconds.' }),
  );

/** Minutes that a step took so far. */
export class TookDto {
  @Whole('The step', 0, 2000) step!: number;
  @Between('The minutes', 0, 1e6, 'minutes') minutes!: number;
}

/** Where the hands are on a card, and what they counted. */
export class PlaceDto {
  @Whole('The step', 0, 2000) at!: number;
  @IsArray({ message: 'What was counted is a list.' })
  @ArrayMaxSize(2000, { message: 'A card has at most 2,000 steps.' })
  @IsInt({ each: true, message: 'A count is a whole number.' })
  @Min(0, { each: true, message: 'A count is a whole number.' })
  @Max(100_000, { each: true, message: 'Nobody counts beyond 100,000.' })
  counts!: number[];
  @IsArray({ message: 'What the steps took is a list.' })
  @ArrayMaxSize(2000, { message: 'A card has at most 2,000 steps.' })
  @Things(() => TookDto)
  took!: TookDto[];
}

export class TimerDto {
  @Text(200) label!: string;
  @Moment() endsAt!: number;
  @IsBoolean({ message: 'Say whether it has rung.' }) rung!: boolean;
}

/** What is in the oven. Its curve every device hears from the probe. */
export class LoadDto {
  @Id() id!: string;
  @Id() ovenId!: string;
  @Name('An oven') ovenName!: string;
  @Between('The temperature', 30, 300, '°C') celsius!: number;
  @Between('The lowest temperature', 20, 300, '°C') low!: number;
  @Between('The maximum', 30, 350, '°C') maxC!: number;
  @Between('The baking time', 1, 1440, 'minutes') minutes!: number;
  @Optional() @Between('The dial', 30, 300, '°C') dial!: number | null;
  @Between('The minutes', 0, 3000, 'minutes') dialFrom!: number;
  @Moment() startedAt!: number;
  /** ms that the clock of the probe is ahead; null: it was not heard yet */
  @Optional() @Between('The clock of the probe', -1e13, 1e13, 'ms') probeAhead!: number | null;
  @IsArray({ message: 'What is in the oven is a list.' })
  @ArrayMaxSize(200, { message: 'At most 200 kinds of pieces in one load.' })
  @Things(() => BakedItemDto)
  items!: BakedItemDto[];
}

/** PUT /api/bench/now/:kind: what lies there now. All three left out: it is gone. */
export class BenchNowDto {
  @IsIn(BENCH_KINDS, { message: 'At the bench there are places, timers and a load.' }) kind!: BenchKind;
  @IsString({ message: 'Say which.' })
  @Matches(/^[\w -]{1,120}$/, { message: 'Say which, in letters, digits and hyphens.' })
  id!: string;
  /** the window that says so */
  @Id() by!: string;
  @Omittable() @Inside(() => PlaceDto, 'The place') place?: PlaceDto | null;
  @Omittable() @Inside(() => TimerDto, 'The timer') timer?: TimerDto | null;
  @Omittable() @Inside(() => LoadDto, 'The load') load?: LoadDto | null;
}

/** One thing at the bench. */
export type BenchThing = { readonly id: string } & (
  | { readonly kind: 'place'; readonly value: PlaceDto }
  | { readonly kind: 'timer'; readonly value: TimerDto }
  | { readonly kind: 'load'; readonly value: LoadDto }
);

/** GET /api/bench/now */
export interface BenchNowAnswer {
  /** by the clock of Sledge */
  readonly now: number;
  readonly things: readonly BenchThing[];
}
