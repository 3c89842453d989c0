import type { Mixable } from '#core/material';
import {
  FADE_SHOWN,
  LAYOUTS,
  TURNINGS,
  type CountedBlend,
  type FadeShown,
  type LayoutKind,
  type Turning,
} from '#core/blend';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsBoolean, IsIn } from 'class-validator';
import { CutterDto } from './cutters.js';
import { EachMadeOf, MaterialDto } from './material.js';
import type { RevisionAnswer } from './mixes.js';
import { LeftDto, LeftList, TakenDto, TakenList, UsedDto, UsedList } from './amounts.js';
import { Between, Id, Inside, Name, Omittable, Optional, Text, Things, Version, Whole } from './rules.js';
import { MadeDto } from './sheetBook.js';
import { WrittenDto } from './written.js';

export class CutPointDto {
  @Between('A place of a cut', 0, 2000, 'mm') x!: number;
  @Between('A height of a cut', 0, 1000, 'mm') y!: number;
}

export class CutDto {
  /** from the bottom edge to the top */
  @IsArray({ message: 'A cut is a list of points.' })
  @ArrayMinSize(2, { message: 'A cut has at least two points.' })
  @ArrayMaxSize(40, { message: 'A cut has at most 40 points.' })
  @Things(() => CutPointDto)
  points!: CutPointDto[];
}

export const BLEND_CUTS = [...LAYOUTS, 'compensated', 'free'] as const;
export type BlendCut = LayoutKind | 'compensated' | 'free';
export const PLUGS = ['rolled', 'fan'] as const;
export const INSIDES = ['first', 'last'] as const;

/** A cutter placed on the fade: its middle along it, and its size. */
export class FadePieceDto {
  @Between('The place of a piece', 0, 2000, 'mm') x!: number;
  @Between('The size of a piece', 1, 500, 'mm') size!: number;
}

/** Pieces that a blend is made for. */
export class BlendWantedDto extends CutterDto {
  @Whole('The number of pieces', 1, 2000) count!: number;
  /** every piece shows all of the fade, or one shade of it */
  @IsIn(FADE_SHOWN, { message: 'A piece shows the whole fade or one shade of it.' }) shows!: FadeShown;
  /** shades beside each other along the fade, where each shows one */
  @Whole('The number of shades', 1, 40) shades!: number;
  /** which side of the piece lies along the fade */
  @IsIn(['width', 'height'], { message: 'The width or the height of a piece lies along the fade.' }) along!:
    'width' | 'height';
  /** mm of the finished sheet */
  @Between('The thickness', 0.2, 20, 'mm') mm!: number;
  @Between('The bridge', 0, 50, 'mm') bridgeMm!: number;
}

/** How a blend is cut, rolled and wound up. Lengths in mm. */
export class BlendPlanDto {
  /** from left to right */
  @IsArray({ message: 'A blend is a list of colours.' })
  @ArrayMinSize(2, { message: 'A blend has at least two colours.' })
  @ArrayMaxSize(6, { message: 'A blend has at most six colours.' })
  @Things(() => MaterialDto)
  @EachMadeOf('colour')
  colours!: Mixable[];
  @Between('The width', 10, 2000, 'mm') width!: number;
  @Between('The height', 10, 1000, 'mm') height!: number;
  @Whole('The number of layers', 1, 8) layers!: number;
  /** of one's own machine; null: no setting chosen, the sheets are assumed to be 2 mm */
  @Optional() @Id() settingId!: string | null;
  @IsIn(BLEND_CUTS, {
    message: 'A blend is cut corner to corner, with pure ends, as a diamond, a V or teardrops, compensated or freely.',
  })
  kind!: BlendCut;
  @Between('The pure ends', 0, 900, 'mm') pure!: number;
  @IsArray({ message: 'A blend has a list of cuts.' })
  @ArrayMinSize(1, { message: 'A blend has a cut between every two colours.' })
  @ArrayMaxSize(5, { message: 'A blend has at most five cuts.' })
  @Things(() => CutDto)
  cuts!: CutDto[];
  @Between('The width of the tape', 3, 500, 'mm') tapeWidth!: number;
  /** setting the tape is rolled down to; null: the thickest that leaves no steps in the plug */
  @Optional() @Id() tapeSettingId!: string | null;
  @IsIn(PLUGS, { message: 'A plug is rolled up or folded like a fan.' }) plug!: (typeof PLUGS)[number];
  @IsIn(INSIDES, { message: 'The first or the last colour is inside.' }) inside!: (typeof INSIDES)[number];
  @Between('The depth of the folds', 3, 300, 'mm') fanDepth!: number;
  /** how it is brought to the width of the tape; left out: folded */
  @Omittable()
  @IsIn(TURNINGS, { message: 'A blend is folded, rolled up or cut to the width of the tape.' })
  turning?: Turning | null;
  /** which end of the tape goes between the rollers first; left out: the lighter one */
  @Omittable() @IsIn(INSIDES, { message: 'The first or the last colour goes in first.' }) lead?:
    (typeof INSIDES)[number] | null;
  /** pure colour added to one end of the tape */
  @Omittable() @IsIn(INSIDES, { message: 'Colour is added at the first or the last end.' }) extraAt?:
    (typeof INSIDES)[number] | null;
  @Omittable() @Between('The extra colour', 0, 2000, 'mm') extraMm?: number | null;
  /** equal tapes laid on each other before they are wound up; left out: one */
  @Omittable() @Whole('The number of tapes', 1, 12) stack?: number | null;
  /** pieces placed on the fade by hand; null or left out: evenly */
  @Omittable()
  @IsArray({ message: 'Pieces on the fade are a list.' })
  @ArrayMaxSize(40, { message: 'At most 40 pieces on the fade.' })
  @Things(() => FadePieceDto)
  placed?: FadePieceDto[] | null;
  /** what it is planned back from; null or left out: nothing */
  @Omittable() @Inside(() => BlendWantedDto, 'What the blend is for') wanted?: BlendWantedDto | null;
}

/** PUT /api/blends/:id */
export class BlendDto {
  @Id() id!: string;
  @Version() version!: number;
  @Name('A blend') name!: string;
  @Text(2000) note!: string;
  @IsBoolean({ message: 'Say whether the blend is retired.' }) retired!: boolean;
  @Inside(() => BlendPlanDto, 'How the blend is cut')
  plan!: BlendPlanDto;
}

/** POST /api/blends/:id/done: what really happened. */
export class BlendDoneDto extends WrittenDto {
  @Version() version!: number;
  @Whole('The number of passes', 1, 60) passes!: number;
  @UsedList() used!: UsedDto[];
  /** things that lay there and scrap that went in too */
  @TakenList() ready?: TakenDto[] | null;
  @LeftList() left?: LeftDto[] | null;
  /** what lies there now, for the sheet book; left out: nothing is kept */
  @Omittable() @Inside(() => MadeDto, 'The sheet') sheet?: MadeDto | null;
}

/** GET /api/blends */
export interface BlendCard {
  readonly id: string;
  readonly revisionId: string;
  readonly name: string;
  readonly retired: boolean;
  readonly plan: BlendPlanDto;
  /** predicted colours, from left to right */
  readonly hexes: readonly string[];
  readonly names: readonly string[];
}

/** GET /api/blends/:id: with all revisions of mixes that its colours rest on. */
export interface BlendAnswer extends BlendDto {
  readonly revision: number;
  /** this revision was made: a change of the plan begins a new one */
  readonly made: boolean;
  /** passes of all blends that were made */
  readonly counted: readonly CountedBlend[];
  readonly referenced: readonly RevisionAnswer[];
}
