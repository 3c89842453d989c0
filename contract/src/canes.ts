import { TRIMMINGS, readProgram, type Program, type Trimming } from '#core/cane';
import { ArrayMaxSize, IsArray, IsBoolean, IsIn } from 'class-validator';
import { LeftDto, LeftList, TakenDto, TakenList, UsedDto, UsedList } from './amounts.js';
import type { BlendPlanDto } from './blends.js';
import type { RevisionAnswer } from './mixes.js';
import { Between, Id, Inside, Name, Omittable, ReadBy, Text, Things, Version, Whole } from './rules.js';
import { WrittenDto } from './written.js';

/** PUT /api/canes/:id */
export class CaneDto {
  @Id() id!: string;
  @Version() version!: number;
  @Name('A cane') name!: string;
  @Text(2000) note!: string;
  @IsBoolean({ message: 'Say whether the cane is retired.' }) retired!: boolean;
  /** the steps, as docs/formats.md describes them */
  @ReadBy(readProgram) program!: Program;
  @Whole('The number of slices', 1, 5000) slices!: number;
  @Between('A slice', 0.1, 100, 'mm') sliceMm!: number;
  @IsIn(TRIMMINGS, { message: 'Ends are trimmed once at the end or at every reduction.' }) trimming!: Trimming;
  /** widths lost at each end of a full reduction; null or left out: what was learned */
  @Omittable() @Between('What is lost at an end', 0, 10, 'widths') ends?: number | null;
}

/**
 * Ends that were cut off at one trim: of both ends together, and what they would have been for a share of 1, as
 * planned.
 */
export class CaneTrimDto {
  @Between('What was lost at the ends', 0, 20_000, 'mm') lostMm!: number;
  @Between('What was planned to be lost', 0, 20_000, 'mm') unitMm!: number;
}

/** So much of a plug or a rolled sheet of the book, along the cane. */
export class CaneTakenDto {
  @Id() sheetId!: string;
  @Between('What was taken', 0, 20_000, 'mm') lengthMm!: number;
}

/** What of a cane lies there when it is done. */
export class KeptCaneDto {
  @Id() id!: string;
  @Name('What is kept') name!: string;
  @IsIn(['cane', 'slices'], { message: 'The cane is kept, or its slices.' }) form!: 'cane' | 'slices';
  @Text(120) keptIn!: string;
}

/** POST /api/canes/:id/done: what really happened. */
export class CaneDoneDto extends WrittenDto {
  @Version() version!: number;
  @Between('The diameter', 0.5, 500, 'mm') diameterMm!: number;
  @Between('The length', 0.5, 20_000, 'mm') lengthMm!: number;
  /** in the order of the steps */
  @IsArray({ message: 'Say what was cut off the ends.' })
  @ArrayMaxSize(80, { message: 'A cane has at most 80 steps.' })
  @Things(() => CaneTrimDto)
  trims!: CaneTrimDto[];
  @Whole('The number of slices', 0, 5000) slices!: number;
  @Omittable() @Id() pictureId?: string | null;
  /** plugs and sheets of the book that it was begun with; left out: none */
  @Omittable()
  @IsArray({ message: 'What was taken from the sheet book is a list.' })
  @ArrayMaxSize(80, { message: 'A cane has at most 80 steps.' })
  @Things(() => CaneTakenDto)
  taken?: CaneTakenDto[] | null;
  @UsedList() used!: UsedDto[];
  /** other things that lay there, and scrap */
  @TakenList() ready?: TakenDto[] | null;
  @LeftList() left?: LeftDto[] | null;
  /** what lies there now, a cane or its slices; null or left out: all of it went on at once */
  @Omittable() @Inside(() => KeptCaneDto, 'What is kept') kept?: KeptCaneDto | null;
}

/** A cane that others can take in, by the id of its revision. */
export interface CaneInside {
  readonly revisionId: string;
  readonly caneId: string;
  readonly name: string;
  readonly program: Program;
  readonly newest: boolean;
}
/** A blend that a plug is of, by the id of its revision. */
export interface BlendInside {
  readonly revisionId: string;
  readonly blendId: string;
  readonly name: string;
  readonly plan: BlendPlanDto;
}

/** GET /api/canes */
export interface CaneCard {
  readonly id: string;
  readonly name: string;
  readonly retired: boolean;
  readonly revisionId: string;
  readonly steps: number;
}

/** GET /api/canes/revisions/:revisionId: what a cane looks like, for pictures of it in other places. */
export interface CaneLookAnswer {
  readonly caneId: string;
  readonly name: string;
  readonly revisionId: string;
  readonly program: Program;
  readonly canes: readonly CaneInside[];
  readonly blends: readonly BlendInside[];
  readonly referenced: readonly RevisionAnswer[];
}

/** GET /api/canes/:id, with everything its steps rest on. */
export interface CaneAnswer extends CaneDto {
  readonly revision: number;
  readonly revisionId: string;
  /** this revision was made: a change of its steps begins a new one */
  readonly made: boolean;
  readonly canes: readonly CaneInside[];
  readonly blends: readonly BlendInside[];
  readonly referenced: readonly RevisionAnswer[];
  /** mixes and blends of its steps that have a newer revision, as keys of materials */
  readonly outdated: readonly { readonly of: string; readonly name: string; readonly newer: string }[];
  /** widths lost at each end, from what was really lost; `from`: of how many trims */
  readonly learnedEnds: { readonly ends: number; readonly from: number };
}
