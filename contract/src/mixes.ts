import type { Mixable } from '#core/material';
import { STAGES, type Stage } from '#core/colour';
import { BASES, CHIP_WAYS, type Basis, type ChipWay } from '#core/mix';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsBoolean, IsIn } from 'class-validator';
import { MadeOf } from './material.js';
import { Between, Hex, Id, IsoDate, Name, Omittable, Parts, Text, Things, Version } from './rules.js';

/** One ingredient: so many parts of a clay or of a revision of another mix. */
export class IngredientDto {
  @Parts() parts!: string;
  @MadeOf('ingredient', 'Say which clay or mix this part is of.') of!: Mixable;
}

/** PUT /api/mixes/:id. A change of the recipe after something was made of it becomes a new revision. */
export class MixDto {
  @Id() id!: string;
  @Version() version!: number;
  @Name('A mix') name!: string;
  @Text(2000) note!: string;
  @IsBoolean({ message: 'Say whether the mix is retired.' }) retired!: boolean;
  /** the colour it is to have; left out: as before */
  @Omittable() @Hex() wantedHex?: string | null;
  @IsIn(BASES, { message: 'Parts are by volume or by mass.' }) basis!: Basis;
  @IsArray({ message: 'A mix is a list of ingredients.' })
  @ArrayMinSize(1, { message: 'A mix needs at least one clay.' })
  @ArrayMaxSize(40, { message: 'A mix has at most 40 ingredients.' })
  @Things(() => IngredientDto)
  ingredients!: IngredientDto[];
}

/** PUT /api/chips/:id: a chip that was made of a revision, and the colour it has. */
export class ChipDto {
  @Id() id!: string;
  @Version() version!: number;
  @Id() revisionId!: string;
  @IsoDate() madeOn!: string;
  @IsIn(STAGES, { message: 'A chip is baked or raw.' }) stage!: Stage;
  @Between('L*', 0, 100, '') l!: number;
  @Between('a*', -128, 128, '') a!: number;
  @Between('b*', -128, 128, '') b!: number;
  @IsIn(CHIP_WAYS, { message: 'A chip is measured by a colour reader, from a photograph or by eye.' }) way!: ChipWay;
}

/** POST /api/notation: typed notation to be understood with the names on the shelf. */
export class NotationDto {
  @Text(4000) text!: string;
}

export interface NotationAnswer {
  /** by mass where it was given in grams; null: nothing was said */
  readonly basis: Basis | null;
  readonly ingredients: readonly IngredientDto[];
  readonly referenced: readonly RevisionAnswer[];
}

/** A revision of a mix. `made`: something was made from it, so it never changes again. */
export interface RevisionAnswer {
  readonly id: string;
  readonly mixId: string;
  readonly mixName: string;
  readonly number: number;
  /** false where the mix has a newer revision */
  readonly newest: boolean;
  readonly basis: Basis;
  readonly ingredients: readonly IngredientDto[];
  readonly made: boolean;
  readonly createdAt: string;
}

/** GET /api/mixes/:id */
export interface MixAnswer {
  readonly id: string;
  readonly version: number;
  readonly name: string;
  readonly note: string;
  readonly retired: boolean;
  /** the colour it is to have */
  readonly wantedHex: string | null;
  /** oldest first; the last one is the recipe of today */
  readonly revisions: readonly RevisionAnswer[];
  /** all revisions that the recipes rest on */
  readonly referenced: readonly RevisionAnswer[];
  /** of all revisions, newest first */
  readonly chips: readonly ChipDto[];
  /** mixes with the same normal form: the same colour under another name */
  readonly sameAs: readonly { readonly id: string; readonly name: string }[];
  readonly usedIn: readonly { readonly id: string; readonly name: string }[];
}

/** A chip on the board. Colours are predicted. */
export interface MixCard {
  readonly id: string;
  readonly revisionId: string;
  readonly name: string;
  readonly notation: string;
  readonly hex: string;
  readonly lightness: number;
  readonly hue: number;
  readonly chroma: number;
  readonly retired: boolean;
  /** grams that can be made of it now */
  readonly possibleGrams: number;
}

/** GET /api/glass: mixes that are mostly translucent, a few of all their hues, and what they rest on. */
export interface GlassAnswer {
  /** revisions of the mixes, a few of them */
  readonly glass: readonly string[];
  readonly referenced: readonly RevisionAnswer[];
}

/** GET /api/mixes?search=&now=&sort=&offset=&limit= */
export interface MixListAnswer {
  readonly total: number;
  readonly cards: readonly MixCard[];
}
export const MIX_SORTS = ['hue', 'name', 'newest'] as const;
export type MixSort = (typeof MIX_SORTS)[number];

/** GET /api/mixes/near?l=&a=&b=: the mix that looks most like a colour, baked. */
export interface NearMixAnswer {
  readonly nearest: {
    readonly id: string;
    readonly revisionId: string;
    readonly name: string;
    readonly hex: string;
    /** ΔE00 */
    readonly deltaE: number;
  } | null;
}
