import {
  FINISH_KINDS,
  readPiece,
  type FinishKind,
  type PieceDocument,
  type FindingForm,
  FINDING_FORMS,
} from '#core/piece';
import { ArrayMaxSize, IsArray, IsIn, IsNumber, Max, Min } from 'class-validator';
import { Between, Id, Name, Omittable, Optional, ReadBy, Text, Things, Version, Whole, all } from './rules.js';

/** One thing that is done to each piece after the oven. */
export class FinishStepDto {
  @Id() id!: string;
  @IsIn(FINISH_KINDS, { message: 'Sledge does not know what is done to the piece there.' }) kind!: FinishKind;
  @Text(80) name!: string;
  @Between('The time for each piece', 0, 600, 'minutes') each!: number;
  @Between('The time for all of them', 0, 600, 'minutes') once!: number;
  @Between('The time it is left alone', 0, 720, 'hours') hours!: number;
  @IsArray({ message: 'Grits are a list.' })
  @ArrayMaxSize(12, { message: 'At most 12 grits in a row.' })
  @IsNumber({ allowNaN: false }, { each: true, message: 'A grit is a number from 40 to 12,000.' })
  @Min(40, { each: true, message: 'A grit is a number from 40 to 12,000.' })
  @Max(12_000, { each: true, message: 'A grit is a number from 40 to 12,000.' })
  grits!: number[];
}

/** What is done to a kind of piece after the oven, in its order. */
export const FinishList = (): PropertyDecorator =>
  all(
    IsArray({ message: 'What is done after the oven is a list.' }),
    ArrayMaxSize(20, { message: 'At most 20 steps after the oven.' }),
    Things(() => FinishStepDto),
  );

/** Prices that are looked at beside each other. */
export const PriceList = (): PropertyDecorator =>
  all(
    IsArray({ message: 'Prices are a list.' }),
    ArrayMaxSize(6, { message: 'At most six prices beside each other.' }),
    IsNumber({ allowNaN: false, allowInfinity: false }, { each: true, message: 'A price is a number, 0 or more.' }),
    Min(0, { each: true, message: 'A price is a number, 0 or more.' }),
    Max(100_000, { each: true, message: 'A price is a number up to 100,000.' }),
  );

/** A kind of assembled piece in a batch. */
export class AssemblyDto {
  @Id() id!: string;
  @Name('A piece') name!: string;
  @Whole('The number of pieces', 1, 4000) count!: number;
  @Whole('The number of spares', 0, 1000) spare!: number;
  @Between('The bridge', 0, 50, 'mm') bridgeMm!: number;
  /** its parts, as docs/formats.md describes them */
  @ReadBy(readPiece) piece!: PieceDocument;
  @FinishList() finish!: FinishStepDto[];
  @PriceList() prices!: number[];
}
export const MOST_ASSEMBLIES = 20;

/** A piece of one's own to be used again. PUT /api/pieces/models/:id */
export class PieceModelDto {
  @Id() id!: string;
  @Version() version!: number;
  @Name('A piece') name!: string;
  @ReadBy(readPiece) piece!: PieceDocument;
  @FinishList() finish!: FinishStepDto[];
}

/** Metal parts and cords that lie there. PUT /api/pieces/findings/:id */
export class FindingDto {
  @Id() id!: string;
  @Version() version!: number;
  @Name('A finding') name!: string;
  @IsIn(FINDING_FORMS, { message: 'Sledge does not know this sort of finding.' }) form!: FindingForm;
  @Between('The width', 0.5, 500, 'mm') widthMm!: number;
  @Between('The length', 0.5, 1000, 'mm') lengthMm!: number;
  @Whole('The number', 0, 100_000) count!: number;
  /** of one; null: nobody knows */
  @Optional() @Between('The price', 0, 10_000, '') price!: number | null;
  @Text(120) keptIn!: string;
}

/** How many of a finding were used. */
export class FindingUsedDto {
  @Id() id!: string;
  @Whole('The number', 0, 100_000) count!: number;
}
export const FindingsUsed = (): PropertyDecorator =>
  all(
    Omittable(),
    IsArray({ message: 'Findings that were used are a list.' }),
    ArrayMaxSize(60, { message: 'At most 60 findings at once.' }),
    Things(() => FindingUsedDto),
  );

/** An assembled piece as it was made: its parts, and their colours by the keys of their materials. */
export interface KeptPiece {
  readonly piece: PieceDocument;
  readonly hexes: Readonly<Record<string, readonly string[]>>;
}
/** Findings that went into what was made. */
export interface UsedFinding {
  readonly name: string;
  readonly count: number;
}

/** GET /api/pieces/models, GET /api/pieces/findings: by their names. */
export type PieceModelsAnswer = readonly PieceModelDto[];
export type FindingsAnswer = readonly FindingDto[];
