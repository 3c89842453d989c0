import type { LoadItem } from '#core/batch';
import { ArrayMaxSize, IsArray } from 'class-validator';
import { Between, Id, IsoDate, Name, Optional, Things, Version } from './rules.js';

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
