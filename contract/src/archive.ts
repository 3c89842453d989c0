import { IsString, Matches, MaxLength } from 'class-validator';
import { all } from './rules.js';

/** A whole copy of the data, as it lies in the folder of copies. */
export interface CopyCard {
  readonly name: string;
  readonly bytes: number;
  /** ISO time */
  readonly at: string;
  /** kept by Sledge itself; the last ten stay */
  readonly dated: boolean;
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

/** GET /api/archive */
export interface ArchiveAnswer {
  /** where the data lies, and its copies */
  readonly file: string;
  readonly folder: string;
  readonly copies: readonly CopyCard[];
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
