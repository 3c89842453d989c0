import type { OwnColour, TubRule } from '#core/stock';
import { IsIn } from 'class-validator';
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

/** PUT /api/tubs/:id: what a tub is called, and where it stands. A new one takes only what is put there. */
export class TubDto {
  @Id() id!: string;
  @Version() version!: number;
  @Name('A tub') name!: string;
  @Text(120) keptIn!: string;
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
export type FlowKind = 'fromTub' | 'fromMade' | 'noted' | 'found' | 'made' | 'toTub' | 'pieces' | 'thrown' | 'lost';
