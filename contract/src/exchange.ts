import { BASES, type Basis } from '#core/mix';
import type { FileFault, MixOut } from '#core/formats';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsBoolean, IsIn, IsString, MaxLength } from 'class-validator';
import { Text, Things, Whole } from './rules.js';

/** A mix out of a file; `row` is where it stands there. */
export class MixLineDto {
  @Whole('The row', 1, 10_000_000) row!: number;
  @IsString({ message: 'A mix has a name.' }) @MaxLength(400, { message: 'A name this long is none.' }) name!: string;
  @Text(4000) recipe!: string;
  @IsIn(BASES, { message: 'Parts are by volume or by mass.' }) basis!: Basis;
  @Text(2000) note!: string;
}

/** POST /api/exchange/mixes: looks at mixes from a file, and takes them in where `sure`. All of them or none. */
export class TakeInDto {
  @IsArray({ message: 'Mixes come as a list.' })
  @ArrayMinSize(1, { message: 'There is no mix in it.' })
  @ArrayMaxSize(3000, { message: '3,000 mixes at a time are the most.' })
  @Things(() => MixLineDto)
  mixes!: MixLineDto[];
  @IsBoolean({ message: 'Say whether to take them in.' }) sure!: boolean;
}

export interface TakeInAnswer {
  readonly mixes: readonly {
    readonly row: number;
    readonly name: string;
    readonly notation: string;
    readonly hex: string;
    /** it is on the board already, the same */ readonly there: boolean;
  }[];
  readonly faults: readonly FileFault[];
  /** how many were taken in; null: none yet */
  readonly taken: number | null;
}

/** GET /api/exchange/mixes: every mix that is not retired, to be written to a file. */
export type TakeOutAnswer = readonly (MixOut & { readonly hex: string })[];
