import type { LoadItem } from '#core/batch';
import { COLDEST, HOTTEST } from '#core/oven';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsBoolean } from 'class-validator';
import { MOST_POINTS } from './limits.js';
import { Between, Id, IsoDate, Name, Optional, Things, Version, Whole } from './rules.js';
import { WrittenDto } from './written.js';

/** What was read in an oven: its dial, a separate thermometer, and how long it had been on. */
export class OvenReadingDto {
  @Id() id!: string;
  @IsoDate() readOn!: string;
  @Between('The dial', 30, 300, '°C') dial!: number;
  @Between('The thermometer', 0, 350, '°C') celsius!: number;
  /** since it was switched on cold; null: it had been steady for long */
  @Optional() @Between('The time', 0, 600, 'minutes') minutes!: number | null;
}

/** PUT /api/ovens/:id */
export class OvenDto {
  @Id() id!: string;
  @Version() version!: number;
  @Name('An oven') name!: string;
  @Between('The width of the tray', 50, 1000, 'mm') trayWidthMm!: number;
  @Between('The length of the tray', 50, 1000, 'mm') trayLengthMm!: number;
  @IsArray({ message: 'Readings of an oven are a list.' })
  @ArrayMaxSize(200, { message: 'At most 200 readings of an oven are kept. Take the oldest ones out.' })
  @Things(() => OvenReadingDto)
  readings!: OvenReadingDto[];
}

/** Some pieces of a batch that were in the oven; their batch may be gone by now. */
export class BakedItemDto {
  @Optional() @Id() batchId!: string | null;
  @Optional() @Id() pieceId!: string | null;
  @Name('A piece') name!: string;
  @Whole('The number of pieces', 1, 4000) count!: number;
  @IsBoolean({ message: 'Say whether these are cores.' }) cores!: boolean;
}

/** What a probe said: minutes since the load went in, and °C. */
export class CurvePointDto {
  @Between('The minutes', 0, 3000, 'minutes') at!: number;
  @Between('The probe', COLDEST, HOTTEST, '°C') celsius!: number;
}

/** POST /api/ovens/:id/baked: a load was taken out. */
export class BakedDto extends WrittenDto {
  /** null: nobody looked */
  @Optional() @Between('The dial', 30, 300, '°C') dial!: number | null;
  /** minutes after which it stood there: what was heard before tells nothing of it */
  @Between('The minutes', 0, 3000, 'minutes') dialFrom!: number;
  @Between('The temperature', 30, 300, '°C') celsius!: number;
  @Between('The lowest temperature', 20, 300, '°C') low!: number;
  @Between('The maximum', 30, 350, '°C') maxC!: number;
  @Between('The baking time', 1, 1440, 'minutes') minutes!: number;
  /** by the clock */
  @Between('The time in the oven', 0, 3000, 'minutes') lasted!: number;
  @IsArray({ message: 'What was in the oven is a list.' })
  @ArrayMinSize(1, { message: 'Say what was in the oven.' })
  @ArrayMaxSize(200, { message: 'At most 200 kinds of pieces in one load.' })
  @Things(() => BakedItemDto)
  items!: BakedItemDto[];
  /** none where no probe was in it */
  @IsArray({ message: 'A curve is a list.' })
  @ArrayMaxSize(MOST_POINTS, { message: `At most ${MOST_POINTS} points of a curve are kept.` })
  @Things(() => CurvePointDto)
  curve!: CurvePointDto[];
  /** keep what the curve tells of the oven among its readings */
  @IsBoolean({ message: 'Say whether the oven is to learn from it.' }) learn!: boolean;
}

/** What of all open batches goes into the oven. GET /api/bakes */
export interface BakesAnswer {
  readonly items: readonly LoadItem[];
  /** what each of them is called, by its id */
  readonly names: Readonly<
    Record<string, { readonly piece: string; readonly batch: string; readonly batchId: string }>
  >;
}

/** GET /api/ovens: by their names. */
export type OvensAnswer = readonly OvenDto[];
