import { SCHOOLS_OF_CONDITIONING, type Conditioner } from '#core/conditioning';
import { READING_WAYS, type ReadingWay } from '#core/sheet';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsIn, IsNumber, Max, Min } from 'class-validator';
import { Between, Id, IsoDate, Name, Omittable, Optional, Text, Things, Version, Whole } from './rules.js';

export class SettingDto {
  @Id() id!: string;
  @Name('A setting') label!: string;
  /** what the maker calls it: my earring setting; left out: nothing */
  @Omittable() @Text(60) called?: string | null;
}

export class ReadingDto {
  @Id() id!: string;
  @Id() settingId!: string;
  @Between('A reading', 0.02, 30, 'mm') mm!: number;
  @Between('The uncertainty', 0.001, 5, 'mm') sigmaMm!: number;
  @IsIn(READING_WAYS, { message: 'A reading is by calipers, cards, a stack or a weighed disc.' }) way!: ReadingWay;
  /** the day it was taken; null or left out: nobody noted it */
  @Omittable() @IsoDate() takenOn?: string | null;
}

/** PUT /api/machines/:id. Settings stand from the widest gap to the thinnest. */
export class MachineDto {
  @Id() id!: string;
  @Version() version!: number;
  @Name('A machine') name!: string;
  @Text(2000) note!: string;
  @Between('The roller width', 10, 2000, 'mm') rollerWidthMm!: number;
  @IsArray({ message: 'A machine has a list of settings.' })
  @ArrayMinSize(2, { message: 'A machine needs at least two settings.' })
  @ArrayMaxSize(40, { message: 'A dial has at most 40 settings.' })
  @Things(() => SettingDto)
  settings!: SettingDto[];
  @IsArray({ message: 'A machine has a list of readings.' })
  @ArrayMaxSize(500, { message: 'A machine keeps at most 500 readings.' })
  @Things(() => ReadingDto)
  readings!: ReadingDto[];
}

/** PUT /api/bench: what this maker measures with. */
/** Something of one's own that thicknesses are measured with, by name. */
export class GaugeDto {
  @Name('What you measure with') name!: string;
  @Between('Its thickness', 0.02, 50, 'mm') mm!: number;
  @Between('How sure it is', 0, 10, 'mm') sigmaMm!: number;
}

export class BenchSetupDto {
  @Version() version!: number;
  @Optional() @Id() machineId!: string | null;
  @Between('The disc cutter', 1, 200, 'mm') discMm!: number;
  @Optional() @Id() discSettingId!: string | null;
  /** thickness of a playing card; null or left out: nobody has measured one */
  @Omittable() @Between('A card', 0.05, 3, 'mm') cardMm?: number | null;
  /** of the room; null or left out: nobody has looked */
  @Omittable() @Between('The room', 0, 45, '°C') roomC?: number | null;
  /** what an hour of one's hands is worth; null or left out: nobody said */
  @Omittable() @Between('An hour', 0, 10_000, '') hourly?: number | null;
  /** share of rent, light and tools on top of everything else; null or left out: none */
  @Omittable() @Between('The share', 0, 5, '') overhead?: number | null;
  /** the oven that batches are baked in; null or left out: the first one */
  @Omittable() @Id() ovenId?: string | null;
  /** strips that guide a hand roller; null or left out: the usual ones */
  @Omittable()
  @IsArray({ message: 'Roller guides are a list of thicknesses.' })
  @ArrayMaxSize(20, { message: 'At most 20 pairs of guides.' })
  @IsNumber(
    { allowNaN: false, allowInfinity: false },
    { each: true, message: 'A guide has a thickness from 0.2 to 30 mm.' },
  )
  @Min(0.2, { each: true, message: 'A guide has a thickness from 0.2 to 30 mm.' })
  @Max(30, { each: true, message: 'A guide has a thickness from 0.2 to 30 mm.' })
  guides?: number[] | null;
  /** other things that thicknesses are measured with: a card of another packet, a coin; null or left out: none */
  @Omittable()
  @IsArray({ message: 'What you measure with is a list.' })
  @ArrayMaxSize(40, { message: 'At most 40 things to measure with.' })
  @Things(() => GaugeDto)
  gauges?: GaugeDto[] | null;
  /** own working setting and own number of passes for conditioning; null or left out: the usual ones */
  @Omittable() @Id() conditionSettingId?: string | null;
  @Omittable() @Whole('The number of passes', 2, 200) conditionPasses?: number | null;
  /** how clay is conditioned where nothing else is said; null or left out: the usual way */
  @Omittable()
  @IsIn(SCHOOLS_OF_CONDITIONING, { message: 'Thin slices, thick slices, or by hand.' })
  conditionSchool?: Conditioner | null;
  @Text(8) currency!: string;
}

/** GET /api/machines */
export interface MachinesAnswer {
  readonly machines: readonly MachineDto[];
  readonly setup: BenchSetupDto;
}
