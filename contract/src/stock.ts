import type { OwnColour, TubRule } from '#core/stock';
import { ArrayMaxSize, IsArray, IsIn, IsUUID } from 'class-validator';
import { TakenDto, TakenList, UsedDto, UsedList } from './amounts.js';
import { MadeOf, type TakenBy } from './material.js';
import { Between, Id, Inside, IsoDate, Name, Omittable, Text, Version, Whole } from './rules.js';
import { MadeDto, type MadeAnswer } from './sheetBook.js';

/** POST /api/made/:id/noted: a thing that lies there already, without a plan of Sledge. */
export class NotedDto {
  @Inside(() => MadeDto, 'The thing') thing!: MadeDto;
  @MadeOf('noted', 'Say what it is made of.') of!: TakenBy<'noted'>;
  @Id() entryId!: string;
  @IsoDate() madeOn!: string;
  @Text(8000) note!: string;
}

/** POST /api/made/:id/away: what lies there goes to a tub, or is thrown away. */
export class AwayDto {
  @Version() version!: number;
  @Id() entryId!: string;
  @IsoDate() madeOn!: string;
  @IsIn(['tub', 'thrown'], { message: 'It goes to a tub or is thrown away.' }) to!: 'tub' | 'thrown';
  @Omittable() @Id() tubId?: string | null;
}

/** POST /api/made/:id/sliced: slices are cut off a cane that lies there. */
export class SlicedDto {
  @Version() version!: number;
  @Id() entryId!: string;
  @IsoDate() madeOn!: string;
  /** the id that the slices get */
  @Id() slicesId!: string;
  @Name('The slices') name!: string;
  @Whole('The number of slices', 1, 5000) count!: number;
  @Between('A slice', 0.1, 100, 'mm') mm!: number;
  @Text(120) keptIn!: string;
}

/** POST /api/made/:id/laid: slices are laid on a backing, or without one, and rolled to a sheet. */
export class LaidDto {
  @Version() version!: number;
  @Id() entryId!: string;
  @IsoDate() madeOn!: string;
  /** the id that the sheet gets */
  @Id() sheetId!: string;
  @Name('The sheet') name!: string;
  /** slices that went into it */
  @Whole('The number of slices', 1, 5000) count!: number;
  @Between('The width', 1, 2000, 'mm') widthMm!: number;
  @Between('The length', 1, 20_000, 'mm') lengthMm!: number;
  @Between('The thickness', 0.05, 30, 'mm') mm!: number;
  /** of what lay there already; left out: none */
  @TakenList() backing?: TakenDto[] | null;
  @Text(120) keptIn!: string;
}

/** PUT /api/tubs/:id: what a tub is called, and where it stands. A new one takes only what is put there. */
export class TubDto {
  @Id() id!: string;
  @Version() version!: number;
  @Name('A tub') name!: string;
  @Text(120) keptIn!: string;
  /** clays of which scrap comes here before any other tub; left out: as before */
  @Omittable()
  @IsArray({ message: 'What a tub takes is a list of clays.' })
  @ArrayMaxSize(200, { message: 'At most 200 clays to a tub.' })
  @IsUUID('all', { each: true, message: 'This is not an id of Sledge.' })
  takes?: string[] | null;
}

/** POST /api/tubs/:id/stretched: clay off the shelf goes into a tub. */
export class StretchedDto {
  @Version() version!: number;
  @Id() entryId!: string;
  @IsoDate() madeOn!: string;
  @UsedList() used!: UsedDto[];
}

/** POST /api/tubs/:id/emptied: all of it is thrown away. */
export class EmptiedDto {
  @Version() version!: number;
  @Id() entryId!: string;
  @IsoDate() madeOn!: string;
}

export interface TubAnswer extends TubDto {
  readonly rule: TubRule;
  /** what a tub for one colour is for */
  readonly of: OwnColour | null;
  readonly grams: number;
  /** of its own colour, or mixed through; null where it is empty */
  readonly hex: string | null;
  readonly rawHex: string | null;
  /** most first */
  readonly clays: readonly { readonly clayId: string; readonly name: string; readonly grams: number }[];
}

/** Where all the clay is, g. What came in is as much as all the others together. */
export interface BalanceAnswer {
  /** blocks as they were bought */
  readonly bought: number;
  /** things that were there without a plan, and what weighed more than went in */
  readonly found: number;
  readonly onShelf: number;
  readonly lyingThere: number;
  readonly inTubs: number;
  readonly inPieces: number;
  readonly thrown: number;
  /** what came out weighed less than what went in */
  readonly lost: number;
  /** taken off the shelf by hand, or before this was written down */
  readonly unsaid: number;
}

/** A thing that lies there, with who counts on it. */
export interface ThereAnswer extends MadeAnswer {
  readonly reservedFor: readonly { readonly kind: 'batch' | 'cane'; readonly id: string; readonly name: string }[];
}

/** GET /api/stock */
export interface StockAnswer {
  /** newest first, without what is used up */
  readonly things: readonly ThereAnswer[];
  readonly tubs: readonly TubAnswer[];
  readonly balance: BalanceAnswer;
}

/** Where clay of an entry came from and went to, but for what came off the shelf. */
export type FlowKind =
  'fromTub' | 'fromMade' | 'noted' | 'found' | 'made' | 'toTub' | 'pieces' | 'thrown' | 'lost' | 'toShelf' | 'softener';
