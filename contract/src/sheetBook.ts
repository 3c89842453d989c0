import type { Material, Mixable } from '#core/material';
import { FIRMNESSES, type Firmness } from '#core/clay';
import { SCHOOLS_OF_CONDITIONING, type Conditioner, type CountedConditioning } from '#core/sheet';
import { ArrayMaxSize, IsArray, IsBoolean, IsIn } from 'class-validator';
import { LeftDto, LeftList, SHAPES, UsedDto, UsedList } from './amounts.js';
import { MadeOf } from './material.js';
import { Between, Id, Inside, IsoDate, Name, Omittable, Optional, Text, Things, Version, Whole } from './rules.js';

/** Pieces that were cut from a sheet, one kind after the other from its lower edge. */
export class SheetCutDto {
  @Id() id!: string;
  @Text(80) name!: string;
  @IsIn(SHAPES, { message: 'A cutter is round or a rectangle.' }) shape!: (typeof SHAPES)[number];
  @Between('The cutter', 1, 500, 'mm') widthMm!: number;
  /** of a rectangle; null for a round one */
  @Optional() @Between('The cutter', 1, 500, 'mm') heightMm!: number | null;
  @Whole('The number of pieces', 1, 4000) count!: number;
  @Between('The bridge', 0, 50, 'mm') bridgeMm!: number;
}

export const MADE_FORMS = ['sheet', 'plug', 'fan', 'lump', 'cane', 'slices'] as const;
/** What the sheet book tells of. */
export const SHEET_FORMS: readonly MadeForm[] = ['sheet', 'plug', 'fan'];
export type MadeForm = (typeof MADE_FORMS)[number];

/** PUT /api/sheets/:id: a thing as it lies there now. */
export class MadeDto {
  @Id() id!: string;
  @Version() version!: number;
  @Name('A sheet') name!: string;
  @Text(2000) note!: string;
  /**
   * lying flat; a blend can be wound up to a plug (`widthMm` its diameter, `lengthMm` its height) or folded like a
   * fan; a lump (all its sizes those of a ball); a cane (`widthMm` across, `lengthMm` long) or its slices (`mm` each)
   */
  @IsIn(MADE_FORMS, { message: 'It is a sheet, a plug, a fan, a lump, a cane or slices.' })
  form!: (typeof MADE_FORMS)[number];
  @Between('The width', 0.5, 2000, 'mm') widthMm!: number;
  @Between('The length', 0.5, 20_000, 'mm') lengthMm!: number;
  /** slices, or pieces of a cane; left out: one */
  @Omittable() @Whole('The number', 1, 5000) count?: number | null;
  /** where it is kept, in one's own word */
  @Omittable() @Text(120) keptIn?: string | null;
  /** of one layer; of a plug folded like a fan its depth */
  @Between('The thickness', 0.05, 300, 'mm') mm!: number;
  @Whole('The number of layers', 1, 20) layers!: number;
  @Between('The weight', 0, 50_000, 'g') grams!: number;
  @IsArray({ message: 'A sheet has a list of cuts.' })
  @ArrayMaxSize(40, { message: 'At most 40 kinds of pieces from one sheet.' })
  @Things(() => SheetCutDto)
  cuts!: SheetCutDto[];
  /** machine and setting in words, where it was rolled again; null or left out: as before */
  @Omittable() @Text(120) rolledAt?: string | null;
  /** used up, or thrown to the scrap */
  @IsBoolean({ message: 'Say whether the sheet is used up.' }) gone!: boolean;
  /** of a plug: which end of the fade is inside */
  @Omittable() @IsIn(['first', 'last'], { message: 'The first or the last colour is inside.' }) inside?:
    'first' | 'last' | null;
}

/** POST /api/sheets/:id/rolled: a sheet that was made just now, and the clay that went into it. */
export class RolledDto {
  @Inside(() => MadeDto, 'The sheet') sheet!: MadeDto;
  @MadeOf('sheet', 'Say which clay or mix the sheet is made of.') of!: Mixable;
  /** machine and setting in words, as it was then */
  @Text(120) rolledAt!: string;
  @Id() entryId!: string;
  @IsoDate() madeOn!: string;
  @Text(8000) note!: string;
  @UsedList() used!: UsedDto[];
  @LeftList() left?: LeftDto[] | null;
}

/** GET /api/sheets: those that are not used up first, newest first. */
export interface MadeAnswer extends MadeDto {
  readonly of: Material;
  readonly count: number;
  readonly keptIn: string;
  /** the blend it is of, where it is of one */
  readonly blendId: string | null;
  /** the cane it is a piece or slices of */
  readonly caneId: string | null;
  readonly ofName: string;
  /** one colour, or those of the blend along its fade */
  readonly hexes: readonly string[];
  readonly density: number;
  readonly rolledAt: string;
  readonly madeOn: string;
  readonly entryId: string;
}

/** POST /api/conditioned: clay that was made to fold without cracking, and what it took. */
export class ConditionedDto {
  @Id() entryId!: string;
  @Id() clayId!: string;
  @IsIn(FIRMNESSES, { message: 'Clay is soft, medium, firm or crumbly.' }) firmness!: Firmness;
  @Optional() @Between('The age', 0, 1200, 'months') months!: number | null;
  @Between('The room', 0, 45, '°C') roomC!: number;
  @IsIn(SCHOOLS_OF_CONDITIONING, { message: 'Thin slices, thick slices, or by hand.' }) school!: Conditioner;
  @Whole('The number of passes', 1, 200) passes!: number;
  @Between('The weight', 0.1, 50_000, 'g') grams!: number;
  @IsoDate() madeOn!: string;
  @Text(8000) note!: string;
}

/** GET /api/conditioned: everything that was counted. */
export type ConditionedAnswer = readonly CountedConditioning[];
