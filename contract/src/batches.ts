import type { Lie } from '#core/cutter';
import type { OwnColour } from '#core/stock';
import type { Kind } from '#core/clay';
import type {
  AssemblyPlan,
  BakeLoad,
  BenchStep,
  ClayDemand,
  LeftOver,
  LumpPlan,
  MixDemand,
  PieceCost,
  PiecePlan,
  ReadyDemand,
} from '#core/batch';
import type { Layout } from '#core/cutter';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsBoolean } from 'class-validator';
import { CutterDto, LiesAs, PlacedDto } from './cutters.js';
import { MadeOf, type TakenBy } from './material.js';
import { LeftDto, LeftList, TakenDto, TakenList, UsedDto, UsedList } from './amounts.js';
import {
  AssemblyDto,
  FindingUsedDto,
  FindingsUsed,
  FinishList,
  FinishStepDto,
  MOST_ASSEMBLIES,
  PriceList,
} from './pieces.js';
import { Between, Id, Inside, IsoDate, Name, Omittable, Optional, Text, Things, Version, Whole } from './rules.js';
import { WrittenDto } from './written.js';

/** A layer of a piece: what it is rolled of, at a setting. */
export class LayerDto {
  @Id() id!: string;
  @MadeOf('layer', 'Choose a mix or a clay for this layer.') of!: TakenBy<'layer'>;
  @Id() settingId!: string;
}

export class PieceDto extends CutterDto {
  @Id() id!: string;
  @Name('A piece') name!: string;
  @Whole('The number of pieces', 1, 4000) count!: number;
  @Whole('The number of spares', 0, 1000) spare!: number;
  @Between('The bridge', 0, 50, 'mm') bridgeMm!: number;
  /** at each edge of a sheet that comes out ragged; null or left out: none */
  @Omittable() @Between('The ragged edge', 0, 100, 'mm') edgeMm?: number | null;
  @Between('The width of the sheet', 5, 2000, 'mm') sheetWidthMm!: number;
  @Between('The length of the sheet', 5, 3000, 'mm') sheetLengthMm!: number;
  /** every second one is mirrored, for left and right; left out: none is */
  @Omittable() @IsBoolean({ message: 'Say whether they are cut as pairs.' }) pairs?: boolean | null;
  /** cut through film, so that the edge is rounded; left out: with the bare cutter */
  @Omittable() @IsBoolean({ message: 'Say whether they are cut through film.' }) film?: boolean | null;
  /** on a sheet with a fade */
  @LiesAs() lie?: Lie | null;
  /** on a patterned sheet, with the width and the length of that sheet; null or left out: laid out */
  @Omittable() @Inside(() => PlacedDto, 'Where the pieces are cut') placed?: PlacedDto | null;
  /** what is done to it after the oven; null or left out: nothing */
  @Omittable() @FinishList() finish?: FinishStepDto[] | null;
  /** null or left out: none yet */
  @Omittable() @PriceList() prices?: number[] | null;
  /** from the bottom to the top */
  @IsArray({ message: 'A piece has a list of layers.' })
  @ArrayMinSize(1, { message: 'A piece needs at least one layer.' })
  @ArrayMaxSize(12, { message: 'A piece has at most 12 layers.' })
  @Things(() => LayerDto)
  layers!: LayerDto[];
}

/** PUT /api/batches/:id */
export class BatchDto {
  @Id() id!: string;
  @Version() version!: number;
  @Name('A batch') name!: string;
  @Text(4000) note!: string;
  @Optional() @IsoDate() dueOn!: string | null;
  @IsArray({ message: 'A batch has a list of pieces.' })
  @ArrayMaxSize(60, { message: 'A batch has at most 60 kinds of pieces.' })
  @Things(() => PieceDto)
  pieces!: PieceDto[];
  /** pieces of many parts; null or left out: none */
  @Omittable()
  @IsArray({ message: 'A batch has a list of assembled pieces.' })
  @ArrayMaxSize(MOST_ASSEMBLIES, { message: `A batch has at most ${MOST_ASSEMBLIES} kinds of assembled pieces.` })
  @Things(() => AssemblyDto)
  assemblies?: AssemblyDto[] | null;
}

/** How many of a kind are done; the others stay in the batch. */
export class MadeCountDto {
  @Id() pieceId!: string;
  @Whole('The number of finished pieces', 0, 4000) count!: number;
  /** of them and of their spares; null or left out: nobody counted */
  @Omittable() @Whole('The number of broken pieces', 0, 8000) broken?: number | null;
}

/** Minutes of hands that a step of the plan took, by its number from 0. */
export class StepMinutesDto {
  @Whole('The step', 0, 5000) step!: number;
  @Between('The minutes', 0, 3000, 'minutes') minutes!: number;
}

/** POST /api/batches/:id/done */
export class DoneDto extends WrittenDto {
  @Version() version!: number;
  @UsedList() used!: UsedDto[];
  @TakenList() taken?: TakenDto[] | null;
  @LeftList() left?: LeftDto[] | null;
  /** null or left out: none */
  @FindingsUsed() findings?: FindingUsedDto[] | null;
  /** of each kind; null or left out: all of them */
  @Omittable()
  @IsArray({ message: 'What is finished is a list.' })
  @ArrayMaxSize(120, { message: 'At most 120 kinds of pieces.' })
  @Things(() => MadeCountDto)
  made?: MadeCountDto[] | null;
  /** null or left out: nobody looked at the clock */
  @Omittable()
  @IsArray({ message: 'Minutes of steps are a list.' })
  @ArrayMaxSize(5000, { message: 'At most 5,000 steps.' })
  @Things(() => StepMinutesDto)
  times?: StepMinutesDto[] | null;
}

/** Typed arrays and exact fractions become plain ones on the wire. */
export type Plain<T> = T extends number | string | boolean | null
  ? T
  : T extends Float64Array
    ? readonly number[]
    : T extends readonly [number, number]
      ? T
      : T extends { toFraction: unknown }
        ? string
        : T extends readonly (infer U)[]
          ? readonly Plain<U>[]
          : T extends object
            ? { readonly [K in keyof T]: Plain<T[K]> }
            : T;

export type PlainLayout = Plain<Layout>;
export type PlainStep = Plain<BenchStep>;

/** How many of a finding a batch needs. */
export interface FindingDemand {
  readonly id: string;
  readonly name: string;
  readonly count: number;
  readonly there: number;
  readonly short: number;
  /** of all of them; null: nobody knows */
  readonly cost: number | null;
}

export interface PlanAnswer {
  readonly pieces: readonly Plain<PiecePlan>[];
  readonly lumps: readonly LumpPlan[];
  readonly assemblies: readonly AssemblyPlan[];
  /** findings that all pieces need, against what is there */
  readonly findings: readonly FindingDemand[];
  /** what one of each kind of piece costs */
  readonly costs: readonly PieceCost[];
  readonly mixes: readonly (Plain<MixDemand> & { readonly name: string })[];
  readonly clays: readonly (ClayDemand & {
    readonly name: string;
    readonly lineName: string;
    readonly kind: Kind;
    readonly hex: string;
    readonly discs: string | null;
  })[];
  /** what lies there already, and is taken */
  readonly ready: readonly (ReadyDemand & { readonly name: string })[];
  /** what is left over, as planned */
  readonly left: readonly (Pick<LeftOver, 'why'> & { readonly parts: readonly { of: OwnColour; grams: number }[] })[];
  readonly loads: readonly BakeLoad[];
  /** the share of its pieces that break, as was learned of the line that most of it is; null: nobody counted */
  readonly breakage: number | null;
  readonly totalGrams: number;
  readonly scrapGrams: number;
  readonly usedCost: number | null;
  readonly buyCost: number | null;
  readonly steps: readonly PlainStep[];
  /**
   * colour and name of every clay or revision that a layer shows, by its id; `newer`: its mix has this newer
   * revision; `lies`: this thing of what is planned lies there by now; `pattern`: the patterned sheet it is of;
   * `cane`: the revision of its cane
   */
  readonly materials: Readonly<
    Record<
      string,
      {
        readonly name: string;
        readonly hex: string;
        readonly hexes: readonly string[];
        /** g/cm³; null where it is not known */
        readonly density: number | null;
        readonly newer: string | null;
        readonly lies: { readonly id: string; readonly name: string } | null;
        readonly pattern: { readonly id: string; readonly revisionId: string } | null;
        /** revision of the cane it is of */
        readonly cane: string | null;
      }
    >
  >;
}

/** GET /api/batches/:id/most/:pieceId: the most pieces of one kind that the shelf and what lies there give. */
export interface MostPiecesAnswer {
  readonly count: number;
  /** what runs out first; null where nothing does */
  readonly runsOut: string | null;
}

/** GET /api/batches/:id */
export interface BatchAnswer extends BatchDto {
  readonly assemblies: AssemblyDto[];
  /** the diary entry, once it is done */
  readonly doneEntryId: string | null;
  /** entries of those of its pieces that are made already; the others are what is planned */
  readonly parts: readonly { readonly entryId: string; readonly title: string; readonly madeOn: string }[];
  readonly plan: PlanAnswer;
}

export interface BatchCard {
  readonly id: string;
  readonly name: string;
  readonly dueOn: string | null;
  readonly done: boolean;
  readonly kinds: number;
  readonly pieces: number;
}
