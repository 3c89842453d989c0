import {
  FIRMNESSES,
  KINDS,
  SQUEEZES,
  TOUGHNESSES,
  type Firmness,
  type Kind,
  type Squeeze,
  type Toughness,
} from '#core/clay';
import type { FileFault } from '#core/formats';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsBoolean, IsIn, IsObject } from 'class-validator';
import { Between, Hex, Id, IsoDate, Name, Omittable, Optional, Text, Things, Version, Whole, all } from './rules.js';

/** What a block does between two fingers. */
export const SqueezedAs = (): PropertyDecorator =>
  all(Omittable(), IsIn(SQUEEZES, { message: 'Squeezed it gives, is stiff, cracks or crumbles.' }));

export class LineDto {
  @Id() id!: string;
  @Version() version!: number;
  @Name('A clay line') name!: string;
  @IsIn(FIRMNESSES, { message: 'Firmness is soft, medium, firm or crumbly.' }) firmness!: Firmness;
  @Between('The density', 0.5, 5, 'g/cm³') density!: number;
  /** false: the density is the assumed one */
  @IsBoolean({ message: 'Say whether the density was measured.' }) densityMeasured!: boolean;
  @Between('The baking temperature', 60, 200, '°C') bakeC!: number;
  @Between('The baking time', 1, 600, 'minutes') bakeMinutes!: number;
  @Between('The thickness for the baking time', 0.5, 50, 'mm') bakePerMm!: number;
  @Between('The maximum temperature', 60, 220, '°C') maxC!: number;
  /** own figures for baking lower and longer, both or none; null or left out: as the packet says */
  @Omittable() @Between('Your own baking temperature', 60, 200, '°C') ownC?: number | null;
  @Omittable() @Between('Your own baking time', 1, 1440, 'minutes') ownMinutes?: number | null;
  /** after baking; null or left out: nobody has said, and it is taken for what its firmness suggests */
  @Omittable() @IsIn(TOUGHNESSES, { message: 'Baked it is brittle or flexible.' }) toughness?: Toughness | null;
}

export class ClayDto {
  @Id() id!: string;
  @Version() version!: number;
  @Id() lineId!: string;
  @Name('A clay') name!: string;
  @IsIn(KINDS, { message: 'The kind is opaque, translucent, mica or glitter.' }) kind!: Kind;
  @Hex() rawHex!: string;
  @Hex() bakedHex!: string;
  /** of mica clay: flakes seen from their edges, baked; null or left out: not measured */
  @Omittable() @Hex() edgeHex?: string | null;
  @Optional() @Between('The strength', 0.005, 50, '') strength!: number | null;
  /** kept for the recipes that use it, but not offered for new ones */
  @IsBoolean({ message: 'Say whether the clay is retired.' }) retired!: boolean;
}

/** What was worked into a block that was brought back, g and drops of softener. */
export interface BroughtBack {
  readonly clays: readonly { readonly clayId: string; readonly grams: number }[];
  readonly drops: number;
}

export class BlockDto {
  @Id() id!: string;
  @Version() version!: number;
  @Id() clayId!: string;
  @Between('The net weight', 0.1, 5000, 'g') netGrams!: number;
  @Between('What is left', 0, 5000, 'g') leftGrams!: number;
  @Optional() @IsoDate() madeOn!: string | null;
  @Text(20) dateCode!: string;
  @Optional() @Between('The price', 0, 100000, '') price!: number | null;
  /** null: nobody has squeezed it; left out: as before */
  @SqueezedAs() squeezed?: Squeeze | null;
  @Omittable() @IsoDate() squeezedOn?: string | null;
  /** of one that was brought back; null: bought as it is. Told, and not taken from a window */
  @Omittable() @IsObject({ message: 'What was worked in is a thing with fields.' }) inside?: BroughtBack | null;
}

/** GET /api/shelf */
export interface ShelfAnswer {
  readonly lines: readonly LineDto[];
  readonly clays: readonly ClayDto[];
  readonly blocks: readonly BlockDto[];
}

export interface MixName {
  readonly id: string;
  readonly name: string;
}

/** GET /api/clays/:id/used-in: the mixes that a clay is in directly, by name; of very many only the first. */
export interface UsedInAnswer {
  readonly total: number;
  readonly mixes: readonly MixName[];
}

/** A clay of a list with its blocks, as it was read. */
export class ShelfRowDto {
  @Whole('The row', 1, 1_000_000) row!: number;
  @Name('A clay line') line!: string;
  @Name('A clay') name!: string;
  @IsIn(KINDS, { message: 'The kind is opaque, translucent, mica or glitter.' }) kind!: Kind;
  /** as baked; null: nobody has said */
  @Optional() @Hex() hex!: string | null;
  @Whole('The number of blocks', 1, 40) blocks!: number;
  @Between('The weight of a block', 0.1, 5000, 'g') grams!: number;
  @Optional() @Between('The price', 0, 100000, '') price!: number | null;
}

/** POST /api/shelf/list: looks at clays of a list, and puts them on the shelf where `sure`. All of them or none. */
export class ShelfListDto {
  @IsArray({ message: 'Clays come as a list.' })
  @ArrayMinSize(1, { message: 'There is no clay in it.' })
  @ArrayMaxSize(1000, { message: '1,000 clays at a time are the most.' })
  @Things(() => ShelfRowDto)
  rows!: ShelfRowDto[];
  @IsBoolean({ message: 'Say whether to put them on the shelf.' }) sure!: boolean;
}

/** What comes of a list, or would come. */
export interface ShelfListAnswer {
  /** lines that are not on the shelf yet: their packets have to be said */
  readonly lines: readonly string[];
  /** clays that are not there yet */
  readonly clays: number;
  readonly blocks: number;
  readonly grams: number;
  /** clays of which nobody said the colour */
  readonly colourless: number;
  readonly faults: readonly FileFault[];
}
