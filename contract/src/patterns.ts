import { COVERS, readPattern, type PatternProgram, type PatternWanted } from '#core/pattern';
import { ArrayMaxSize, IsArray, IsBoolean, IsIn } from 'class-validator';
import { CutterDto, HandPlaceDto, MOST_PLACES } from './cutters.js';
import { LeftDto, LeftList, TakenDto, TakenList, UsedDto, UsedList } from './amounts.js';
import type { BlendInside, CaneInside } from './canes.js';
import type { RevisionAnswer } from './mixes.js';
import { Between, Id, Inside, Name, Omittable, ReadBy, Text, Things, Version, Whole } from './rules.js';
import { WrittenDto } from './written.js';

/** What a patterned sheet has to cover. */
export class PatternWantedDto implements PatternWanted {
  @IsIn(COVERS, { message: 'A sheet or a lid is covered, a frame or a tube.' }) covers!: (typeof COVERS)[number];
  @Between('The width', 1, 2000, 'mm') width!: number;
  @Between('The length', 1, 2000, 'mm') height!: number;
  @Between('The width of the opening', 0, 2000, 'mm') innerWidth!: number;
  @Between('The length of the opening', 0, 2000, 'mm') innerHeight!: number;
  @Whole('The number of pieces', 1, 500) pieces!: number;
  @Between('What is trimmed', 0, 0.9, 'of the sheet') trimmed!: number;
}

/** Where a piece is cut: on which of the sheets, from 0. */
export class PatternPlaceDto extends HandPlaceDto {
  @Whole('The sheet', 0, 5999) sheet!: number;
}

/** Pieces of one cutter on the finished sheets, each where it was put. */
export class PatternCutDto extends CutterDto {
  @Id() id!: string;
  @Name('A piece') name!: string;
  @Between('The bridge', 0, 50, 'mm') bridgeMm!: number;
  @IsArray({ message: 'Places of pieces are a list.' })
  @ArrayMaxSize(MOST_PLACES, { message: `At most ${MOST_PLACES} pieces of one cutter are put on patterned sheets.` })
  @Things(() => PatternPlaceDto)
  places!: PatternPlaceDto[];
}
export const MOST_CUT_KINDS = 12;

/** PUT /api/patterns/:id */
export class PatternDto {
  @Id() id!: string;
  @Version() version!: number;
  @Name('A patterned sheet') name!: string;
  @Text(2000) note!: string;
  @IsBoolean({ message: 'Say whether the patterned sheet is retired.' }) retired!: boolean;
  /** the steps, as docs/formats.md describes them */
  @ReadBy(readPattern) program!: PatternProgram;
  /** null or left out: as much as the steps make */
  @Omittable() @Inside(() => PatternWantedDto, 'What is covered') wanted?: PatternWantedDto | null;
  /** where pieces are cut of it; it is no part of a revision. null or left out: nowhere yet */
  @Omittable()
  @IsArray({ message: 'What is cut is a list.' })
  @ArrayMaxSize(MOST_CUT_KINDS, { message: `At most ${MOST_CUT_KINDS} cutters on one patterned sheet.` })
  @Things(() => PatternCutDto)
  cuts?: PatternCutDto[] | null;
}

export const PATTERN_LIKED = ['well', 'so so', 'not'] as const;
export type PatternLiked = (typeof PATTERN_LIKED)[number];

/** What of a patterned sheet is counted; `sheen`: passes until the mica lay evenly. */
export const STOP_KINDS = ['fold', 'knead', 'twist', 'sheen'] as const;
export type StopKind = (typeof STOP_KINDS)[number];

/** How often a step that can go too far was done, and how wide the veins were then. */
export class PatternStopDto {
  @Text(80) step!: string;
  @IsIn(STOP_KINDS, { message: 'Folds, passes, twists and the sheen are counted.' }) kind!: StopKind;
  @Between('The number', 0, 400, '') times!: number;
  @Between('The veins', 0, 1000, 'mm') veinMm!: number;
}

/** A sheet that lies there when it is done, so many alike. */
export class KeptPatternDto {
  @Id() id!: string;
  @Name('What is kept') name!: string;
  @Text(120) keptIn!: string;
  @Whole('The number of sheets', 1, 60) count!: number;
  @Between('The width', 0.5, 2000, 'mm') widthMm!: number;
  @Between('The length', 0.5, 20_000, 'mm') lengthMm!: number;
  @Between('The thickness', 0.05, 300, 'mm') mm!: number;
  /** the setting that it was rolled at last; left out: it was not */
  @Omittable() @Text(120) rolledAt?: string | null;
}

/** POST /api/patterns/:id/done: what really happened. */
export class PatternDoneDto extends WrittenDto {
  @Version() version!: number;
  @Whole('The hands', 0, 1_000_000) hands!: number;
  @IsArray({ message: 'What was counted is a list.' })
  @ArrayMaxSize(60, { message: 'A patterned sheet has at most 60 steps.' })
  @Things(() => PatternStopDto)
  stops!: PatternStopDto[];
  @Omittable() @IsIn(PATTERN_LIKED, { message: 'It is liked well, so so, or not.' }) liked?: PatternLiked | null;
  @Omittable() @Id() pictureId?: string | null;
  @UsedList() used!: UsedDto[];
  @TakenList() ready?: TakenDto[] | null;
  @LeftList() left?: LeftDto[] | null;
  /** what lies there now; null or left out: all of it went on at once */
  @Omittable() @Inside(() => KeptPatternDto, 'What is kept') kept?: KeptPatternDto | null;
}

/** Where one stopped earlier. */
export interface EarlierStop extends PatternStopDto {
  readonly patternId: string;
  readonly name: string;
  readonly madeOn: string;
  readonly liked: PatternLiked | null;
}

/** GET /api/patterns */
export interface PatternCard {
  readonly id: string;
  readonly name: string;
  readonly retired: boolean;
  readonly revisionId: string;
  readonly steps: number;
  /** of its materials */
  readonly hexes: readonly string[];
}

/** A cane that slices are cut of, or one that such a cane takes in. */
export interface CutCaneInside extends CaneInside {
  /** what is in it, by the keys of materials, in any proportion; of one that is only taken in nothing */
  readonly parts: readonly { readonly of: string; readonly volume: number }[];
}

/** GET /api/patterns/revisions/:revisionId: what a sheet that was made, or is planned, looks like. */
export interface PatternLookAnswer {
  readonly patternId: string;
  readonly name: string;
  readonly revisionId: string;
  readonly program: PatternProgram;
  readonly wanted: PatternWanted | null;
  readonly canes: readonly CutCaneInside[];
  readonly blends: readonly BlendInside[];
  readonly referenced: readonly RevisionAnswer[];
}

/** GET /api/patterns/:id, with everything its steps rest on. */
export interface PatternAnswer extends PatternDto {
  readonly revision: number;
  readonly revisionId: string;
  /** this revision was made: a change of its steps begins a new one */
  readonly made: boolean;
  readonly canes: readonly CutCaneInside[];
  readonly blends: readonly BlendInside[];
  readonly referenced: readonly RevisionAnswer[];
  /** mixes, blends and canes of its steps that have a newer revision, as keys of materials */
  readonly outdated: readonly { readonly of: string; readonly name: string; readonly newer: string }[];
  /** newest first */
  readonly stops: readonly EarlierStop[];
  /** mm of the veins at which one usually stops; null: nobody did, or it is set aside */
  readonly usualVein: number | null;
}
