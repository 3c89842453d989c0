import { IsBoolean, IsIn, IsString, Matches, MaxLength } from 'class-validator';
import { Id, Optional, Text, all } from './rules.js';

/** A whole copy of the data, as it lies in the folder of copies. */
export interface CopyCard {
  readonly name: string;
  readonly bytes: number;
  /** ISO time */
  readonly at: string;
  /** kept by Sledge itself; the last ten stay */
  readonly dated: boolean;
  /** kept by the rule: of each of 7 days, 4 weeks and 12 months the newest stays */
  readonly ruled: boolean;
}

/** What a look into a copy found. */
export interface CopyContents {
  readonly clays: number;
  readonly mixes: number;
  readonly batches: number;
  readonly entries: number;
  /** day of the newest entry of the diary, null where there is none */
  readonly lastEntry: string | null;
}

/** How it stands with the copies that are kept by rule. */
export interface RuleAnswer {
  readonly folder: string;
  /** another folder than that of the other copies */
  readonly chosen: boolean;
  /** the last one that was whole */
  readonly last: { readonly name: string; readonly at: string; readonly holds: CopyContents } | null;
  /** the last try failed; null: it did not */
  readonly failed: { readonly at: string; readonly why: string } | null;
}

/** PUT /api/archive/rule: the folder that copies are kept in by rule; null: with the others. */
export class RuleFolderDto {
  @Optional() @Text(1000) folder!: string | null;
}

/** GET /api/archive */
export interface ArchiveAnswer {
  /** of this Sledge */
  readonly version: string;
  /** where the data lies, and its copies */
  readonly file: string;
  readonly folder: string;
  readonly copies: readonly CopyCard[];
  readonly rule: RuleAnswer;
  /** what happened at the start that the person should know */
  readonly notices: readonly string[];
}

/** POST /api/archive/copies, and the answer of POST /api/archive/look. */
export interface CheckedCopy {
  readonly name: string;
  readonly bytes: number;
  readonly holds: CopyContents;
}

const CopyName = (): PropertyDecorator =>
  all(
    IsString({ message: 'A copy needs a name.' }),
    Matches(/\S/, { message: 'A copy needs a name.' }),
    MaxLength(80, { message: 'The name of a copy has at most 80 letters.' }),
    Matches(/^[\p{L}\p{N} ,_()-]+$/u, {
      message: 'The name of a copy has letters, digits, spaces, commas, brackets and hyphens.',
    }),
  );

/** POST /api/archive/copies */
export class KeepCopyDto {
  @CopyName() name!: string;
}
/** POST /api/archive/take-up: a copy of the folder. DELETE takes the name in the address. */
export class TakeUpDto {
  @CopyName() name!: string;
}

export const CARRIED_KINDS = ['mix', 'blend', 'cane', 'pattern', 'batch', 'palette', 'mosaic', 'pieceModel'] as const;
export type CarriedKind = (typeof CARRIED_KINDS)[number];

/** POST /api/archive/carry: one thing out of a copy into the data of now, with everything that it needs. */
export class CarryDto {
  @CopyName() name!: string;
  @IsIn(CARRIED_KINDS, {
    message:
      'A mix, a blend, a cane, a patterned sheet, a batch, a palette, a mosaic or a kept piece can be carried over.',
  })
  kind!: CarriedKind;
  @Id() id!: string;
  /** false: only say what would come */
  @IsBoolean({ message: 'Say whether it is to be done.' }) sure!: boolean;
}

/** What comes, or would come; nothing: all of it is here already, just so. */
export interface CarryAnswer {
  readonly things: readonly { readonly kind: CarriedKind; readonly name: string; readonly as: string }[];
}

/** GET /api/archive/whole: everything as one ZIP, on its way out or in. */
export interface WholeAnswer {
  readonly way: 'out' | 'in' | null;
  readonly state: 'none' | 'running' | 'ready' | 'failed';
  /** rows and pictures */
  readonly done: number;
  readonly total: number;
  readonly why: string | null;
  /** read in: the copy that it is now */
  readonly copy: CheckedCopy | null;
  /** of the file that is ready to be saved */
  readonly bytes: number;
}

/** POST /api/archive/carry-all: all of a copy that is not here. */
export class CarryAllDto {
  @CopyName() name!: string;
  /** false: only say what would come */
  @IsBoolean({ message: 'Say whether it is to be done.' }) sure!: boolean;
}

/** What comes, or would come, beside what is here. */
export interface CarryAllAnswer extends CarryAnswer {
  /** what else comes, by what it is called, as `blocks` */
  readonly more: readonly { readonly what: string; readonly count: number }[];
}

/** POST /api/archive/thing/take: a thing that was sent as a file, looked at before. */
export class TakeThingDto {
  @Id() token!: string;
}

/** POST /api/archive/thing: what is in a file that somebody sent. */
export interface SentThingAnswer extends CarryAnswer {
  readonly token: string;
  /** whether it has a picture card: GET /api/archive/thing/card/:token */
  readonly card: boolean;
  readonly kind: CarriedKind;
  readonly name: string;
}
