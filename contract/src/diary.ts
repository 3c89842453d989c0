import { ArrayMaxSize, IsArray } from 'class-validator';
import type { Squeeze } from '#core/clay';
import type { Cutter } from '#core/cutter';
import type { KeptPiece, UsedFinding } from './pieces.js';
import type { BakedItemDto } from './ovens.js';
import type { PatternLiked, PatternStopDto } from './patterns.js';
import type { MadeKind, Outcome } from './limits.js';
import { Id, Omittable, Text, Things, Version, Whole } from './rules.js';

export type { EntryPictureDto };
import type { MadeForm } from './sheetBook.js';
import type { FlowKind } from './stock.js';
import { PictureList, WentAs, type EntryPictureDto } from './written.js';

/** Pieces of an entry that broke, at once or later. */
export class BrokenDto {
  /** of the kind of pieces in the entry */
  @Id() id!: string;
  @Whole('The number of broken pieces', 0, 8000) count!: number;
}

/** PUT /api/diary/:id: the note and the photographs are a person's to change. */
export class DiaryNoteDto {
  @Id() id!: string;
  @Version() version!: number;
  @Text(8000) note!: string;
  /** in their order; left out: as they are */
  @PictureList() pictures?: EntryPictureDto[] | null;
  /** left out: as it is; null: nobody says any more */
  @WentAs() outcome?: Outcome | null;
  /** left out: as they are */
  @Omittable()
  @IsArray({ message: 'What broke is a list.' })
  @ArrayMaxSize(240, { message: 'At most 240 kinds of pieces.' })
  @Things(() => BrokenDto)
  broken?: BrokenDto[] | null;
}

/** POST /api/diary/:id/next: what changes next time, as a line in the note of the plan. */
export class NextTimeDto {
  @Text(600) line!: string;
}

/** The plan that a line was written to. */
export interface PlanNoted {
  readonly kind: 'batch' | 'cane' | 'pattern' | 'blend' | 'mix';
  readonly id: string;
  readonly name: string;
}

export interface DiaryCard {
  readonly id: string;
  readonly version: number;
  readonly madeOn: string;
  readonly title: string;
  readonly note: string;
  readonly outcome: Outcome | null;
  readonly batchId: string | null;
}

/** GET /api/diary?search=&near=&offset=&limit= */
export interface DiaryListAnswer {
  readonly total: number;
  /** `deltaE`: how far its nearest colour is off the one that is looked for */
  readonly entries: readonly (DiaryCard & { readonly deltaE?: number })[];
}

/** GET /api/diary/wall?offset=&limit=: photographs of all entries, the newest first. */
export interface WallAnswer {
  readonly total: number;
  readonly pictures: readonly {
    readonly id: string;
    readonly entryId: string;
    readonly title: string;
    readonly madeOn: string;
    readonly outcome: Outcome | null;
  }[];
}

/** What a month had of one kind of making. */
export interface MonthOfKind {
  /** `2026-11` */
  readonly month: string;
  readonly kind: MadeKind;
  readonly entries: number;
  /** of hands, as the bench counted them */
  readonly minutes: number;
  /** g of clay off the shelf */
  readonly grams: number;
  readonly pieces: number;
  readonly broken: number;
}

/** GET /api/diary/months: the oldest first; months without an entry are left out. */
export interface MonthsAnswer {
  readonly months: readonly MonthOfKind[];
}

/** GET /api/diary/:id/descent: what was made first, then all that it was made of. */
export interface DescentAnswer {
  readonly made: readonly {
    readonly entry: DiaryAnswer;
    /** things of it that went on: their names, how many g, and the entry that they went into; none of the first */
    readonly went: readonly { readonly name: string; readonly grams: number; readonly into: string }[];
    /** lines of its clays, by their ids */
    readonly lines: Readonly<Record<string, string>>;
  }[];
}

/** A load that was baked. */
export interface BakeTold {
  readonly ovenName: string;
  readonly dial: number | null;
  readonly celsius: number;
  readonly low: number;
  readonly high: number;
  readonly maxC: number;
  /** wished within the band, by the clock, and really within it (null: no probe was heard) */
  readonly minutes: number;
  readonly lasted: number;
  readonly inBand: number | null;
  readonly hottest: number | null;
  /** minutes since it went in, and °C */
  readonly curve: readonly (readonly [number, number])[];
  readonly items: readonly BakedItemDto[];
}

/** GET /api/diary/:id */
export interface DiaryAnswer extends DiaryCard {
  /** photographs, in their order */
  readonly pictures: readonly EntryPictureDto[];
  readonly pieces: readonly {
    readonly id: string;
    readonly name: string;
    readonly count: number;
    /** of them; null: nobody counted */
    readonly broken: number | null;
    readonly cutter: Cutter;
    /** of many parts, as it was made; null: cut as it is */
    readonly piece: KeptPiece | null;
  }[];
  readonly findings: readonly UsedFinding[];
  readonly mixes: readonly {
    readonly revisionId: string;
    readonly mixId: string;
    readonly name: string;
    readonly number: number;
    readonly notation: string;
    readonly hex: string;
    readonly grams: number;
  }[];
  readonly blends: readonly {
    readonly blendId: string;
    readonly name: string;
    readonly number: number;
    readonly passes: number;
    /** as it is reckoned for such colours */
    readonly wantedPasses: number;
    readonly hexes: readonly string[];
  }[];
  readonly canes: readonly {
    readonly caneId: string;
    readonly revisionId: string;
    readonly name: string;
    readonly number: number;
    readonly diameterMm: number;
    readonly lengthMm: number;
    readonly lostMm: number;
    /** what its ends took of what is assumed; null: not known */
    readonly endsShare: number | null;
    /** as its plan has them */
    readonly sliceMm: number;
    readonly slices: number;
    readonly pictureId: string | null;
  }[];
  readonly patterns: readonly {
    readonly patternId: string;
    readonly revisionId: string;
    readonly name: string;
    readonly number: number;
    readonly hands: number;
    readonly stops: readonly PatternStopDto[];
    readonly liked: PatternLiked | null;
    readonly pictureId: string | null;
  }[];
  /** loads of the oven */
  readonly bakes: readonly BakeTold[];
  readonly sheets: readonly {
    readonly sheetId: string;
    readonly name: string;
    readonly rolledAt: string;
    readonly mm: number;
    readonly widthMm: number;
    readonly lengthMm: number;
    readonly form: MadeForm;
    readonly count: number;
    readonly hexes: readonly string[];
  }[];
  /** what else it was made from, and what became of it */
  readonly flows: readonly {
    readonly kind: FlowKind;
    readonly grams: number;
    /** of the thing or of the tub */
    readonly name: string | null;
  }[];
  readonly conditioned: readonly {
    readonly clayId: string;
    readonly name: string;
    readonly school: string;
    /** what it did between the fingers before; null: nobody had squeezed it */
    readonly squeeze: Squeeze | null;
    readonly passes: number;
    readonly roomC: number;
  }[];
  readonly clays: readonly {
    readonly clayId: string;
    readonly name: string;
    readonly hex: string;
    readonly grams: number;
  }[];
}
