import type { Clay } from '#core/clay';
import { CURVE_TERMS, type Evidence, type Learned } from '#core/mix';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsBoolean, IsNumber, IsString, Matches, Max, Min } from 'class-validator';
import { Between, Id, Things, Whole } from './rules.js';

/** Each term of a learned curve, in natural logarithms of K/S: beyond this nothing finite would come of it. */
const MOST_CURVE = 20;
const LENGTH = `A learned curve has ${CURVE_TERMS} numbers.`;

/** What was learned of one clay; the numbers are those of core's `LearnedClay`. */
export class LearnedClayDto {
  @Id() clayId!: string;
  @Between('The learned strength', -12, 12, '') logStrength!: number;
  @Between('Its uncertainty', 0, 12, '') sigma!: number;
  @Max(MOST_CURVE, { each: true, message: 'A learned curve is further off than any clay can be.' })
  @Min(-MOST_CURVE, { each: true, message: 'A learned curve is further off than any clay can be.' })
  @IsArray({ message: 'A learned curve is a list of numbers.' })
  @ArrayMinSize(CURVE_TERMS, { message: LENGTH })
  @ArrayMaxSize(CURVE_TERMS, { message: LENGTH })
  @IsNumber({ allowNaN: false, allowInfinity: false }, { each: true, message: 'A learned curve is a list of numbers.' })
  curve!: number[];
  @Whole('The number of chips', 0, 1_000_000) chips!: number;
}

/** PUT /api/learning: what a window's worker has learned from the chips of `key`. */
export class LearningDto {
  @IsString({ message: 'Say which chips this was learned from.' })
  @Matches(/^[0-9a-f]{40}$/, { message: 'Say which chips this was learned from.' })
  key!: string;
  @IsArray({ message: 'What was learned is a list of clays.' })
  @ArrayMaxSize(2000, { message: 'At most 2,000 clays.' })
  @Things(() => LearnedClayDto)
  clays!: LearnedClayDto[];
}

/** PUT /api/learning/use: predict with what was learned, or with the defaults. */
export class UseLearnedDto {
  @IsBoolean({ message: 'Say whether to predict with what was learned.' }) use!: boolean;
}

/** A chip with the mix it was made of. */
export interface EvidenceAnswer extends Evidence {
  readonly mixId: string;
  readonly mixName: string;
  readonly notation: string;
  readonly madeOn: string;
}

/** GET /api/learning */
export interface LearningAnswer {
  /** changes with every chip, recipe and clay that a chip rests on */
  readonly key: string;
  readonly chips: readonly EvidenceAnswer[];
  /** all clays in use, and those in chips */
  readonly clays: readonly Clay[];
  /** learned from the chips of `learnedKey`; null: nothing yet */
  readonly learned: Learned | null;
  readonly learnedKey: string | null;
  readonly use: boolean;
}
