import type { Lie } from '#core/cutter';
import type { Material, Mixable } from '#core/material';
import { FIRMNESSES, type Firmness, type Squeeze } from '#core/clay';
import { SCHOOLS_OF_CONDITIONING, type Conditioner, type CountedConditioning } from '#core/conditioning';
import { ArrayMaxSize, IsArray, IsBoolean, IsIn } from 'class-validator';
import { LeftDto, LeftList, TakenDto, TakenList, UsedDto, UsedList } from './amounts.js';
import { CutterDto, HandPlaceDto, LiesAs } from './cutters.js';
import { MadeOf } from './material.js';
import { Between, Id, Inside, Name, Omittable, Optional, Text, Things, Version, Whole } from './rules.js';
import { SqueezedAs } from './shelf.js';
import { WrittenDto } from './written.js';

/** Pieces that were cut from a sheet, one kind after the other from its lower edge. */
export class SheetCutDto extends CutterDto {
  @Id() id!: string;
  @Text(80) name!: string;
  @Whole('The number of pieces', 1, 4000) count!: number;
  @Between('The bridge', 0, 50, 'mm') bridgeMm!: number;
  /** on a sheet with a fade */
  @LiesAs() lie?: Lie | null;
  /** put there one by one; null or left out: laid out */
  @Omittable()
  @IsArray({ message: 'Places of pieces are a list.' })
  @ArrayMaxSize(200, { message: 'At most 200 pieces are put on a sheet by hand at once.' })
  @Things(() => HandPlaceDto)
  places?: HandPlaceDto[] | null;
  /** where went what fell between them; left out: to the tub that fits */
  @Omittable() @IsIn(['tub', 'thrown'], { message: 'It goes to a tub or is thrown away.' }) scrapTo?:
    'tub' | 'thrown' | null;
}

export const MADE_FORMS = [
  ...(['sheet', 'plug', 'fan', 'lump', 'cane', 'slices'] as const),
  ...(['threads', 'cores', 'baked'] as const),
] as const;
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
   * fan; a lump or cores (all their sizes those of a ball); a cane or threads (`widthMm` across, `lengthMm` long),
   * slices of a cane (`mm` each) or baked parts
   */
  @IsIn(MADE_FORMS, { message: 'It is a sheet, a plug, a fan, a lump, a cane, slices, threads, cores or baked parts.' })
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
export class RolledDto extends WrittenDto {
  @Inside(() => MadeDto, 'The sheet') sheet!: MadeDto;
  @MadeOf('sheet', 'Say which clay or mix the sheet is made of.') of!: Mixable;
  /** machine and setting in words, as it was then */
  @Text(120) rolledAt!: string;
  @UsedList() used!: UsedDto[];
  /** things that lay there and scrap that went in too */
  @TakenList() ready?: TakenDto[] | null;
  @LeftList() left?: LeftDto[] | null;
}

/** GET /api/sheets: those that are not used up first, newest first. */
export interface MadeAnswer extends MadeDto {
  readonly of: Material;
  readonly count: number;
  readonly keptIn: string;
  /** g that lie there still; `grams` are those it was made with, before pieces were cut from it */
  readonly left: number;
  /** the blend it is of, where it is of one */
  readonly blendId: string | null;
  /** the cane it is a piece or slices of */
  readonly caneId: string | null;
  readonly patternId: string | null;
  /** of a patterned sheet: how it looks; null of everything else */
  readonly patterned: { readonly revisionId: string; readonly sheet: number; readonly hands: number } | null;
  readonly ofName: string;
  /** in it, by mass; none of a cane */
  readonly clays: readonly { readonly clayId: string; readonly mass: number }[];
  /** one colour, or those of the blend along its fade */
  readonly hexes: readonly string[];
  readonly density: number;
  readonly rolledAt: string;
  readonly madeOn: string;
  readonly entryId: string;
}

/** POST /api/conditioned: clay that was made to fold without cracking, and what it took. */
export class ConditionedDto extends WrittenDto {
  @Id() clayId!: string;
  @IsIn(FIRMNESSES, { message: 'Clay is soft, medium, firm or crumbly.' }) firmness!: Firmness;
  @Optional() @Between('The age', 0, 1200, 'months') months!: number | null;
  @Between('The room', 0, 45, '°C') roomC!: number;
  @IsIn(SCHOOLS_OF_CONDITIONING, { message: 'Thin slices, thick slices, or by hand.' }) school!: Conditioner;
  @Whole('The number of passes', 1, 200) passes!: number;
  @Between('The weight', 0.1, 50_000, 'g') grams!: number;
  /** what it did between the fingers before; null or left out: nobody had squeezed it */
  @SqueezedAs() squeeze?: Squeeze | null;
}

/** GET /api/conditioned: everything that was counted. */
export type ConditionedAnswer = readonly CountedConditioning[];
