import { ArrayMaxSize, IsArray, IsIn, IsString, Matches, MaxLength } from 'class-validator';
import { Between, Id, Name, Omittable, Optional, Text, Things, Version, Whole } from './rules.js';

export const PICTURE_TYPES = ['image/jpeg', 'image/png'] as const;
/** Letters of base64 that a kept picture has at most. */
export const MOST_PICTURE = 900_000;
/** And a small one. */
export const MOST_SMALL_PICTURE = 60_000;

/** PUT /api/pictures/:id: a picture as it is kept, scaled down by the browser; it never changes. */
export class PictureDto {
  @Id() id!: string;
  @IsIn(PICTURE_TYPES, { message: 'A picture is kept as JPEG or PNG.' }) type!: (typeof PICTURE_TYPES)[number];
  @Whole('The width', 1, 4000) width!: number;
  @Whole('The height', 1, 4000) height!: number;
  @IsString({ message: 'A picture is sent as base64.' })
  @MaxLength(MOST_PICTURE, { message: 'This picture is too large to be kept.' })
  @Matches(/^[A-Za-z0-9+/]+={0,2}$/, { message: 'A picture is sent as base64.' })
  data!: string;
  /** the same as a small JPEG, for a wall of them; null or left out: none was made */
  @Omittable()
  @IsString({ message: 'A picture is sent as base64.' })
  @MaxLength(MOST_SMALL_PICTURE, { message: 'The small picture is too large.' })
  @Matches(/^[A-Za-z0-9+/]+={0,2}$/, { message: 'A picture is sent as base64.' })
  small?: string | null;
}

/** A colour of a palette; `share` of the picture's area, null where it was picked by hand. */
export class SwatchDto {
  @Id() id!: string;
  @Text(80) name!: string;
  @Between('L*', 0, 100, '') l!: number;
  @Between('a*', -200, 200, '') a!: number;
  @Between('b*', -200, 200, '') b!: number;
  @Optional() @Between('The share', 0, 1, '') share!: number | null;
}

/** PUT /api/palettes/:id */
export class PaletteDto {
  @Id() id!: string;
  @Version() version!: number;
  @Name('A palette') name!: string;
  @Text(2000) note!: string;
  @Optional() @Id() pictureId!: string | null;
  /** factors on linear red, green and blue that take the picture's cast away */
  @Between('The cast', 0.01, 100, '') gainR!: number;
  @Between('The cast', 0.01, 100, '') gainG!: number;
  @Between('The cast', 0.01, 100, '') gainB!: number;
  @IsArray({ message: 'A palette is a list of colours.' })
  @ArrayMaxSize(256, { message: 'A palette has at most 256 colours.' })
  @Things(() => SwatchDto)
  swatches!: SwatchDto[];
}

/** GET /api/palettes */
export interface PaletteCard {
  readonly id: string;
  readonly name: string;
  readonly pictureId: string | null;
  readonly colours: readonly {
    readonly l: number;
    readonly a: number;
    readonly b: number;
    readonly share: number | null;
  }[];
}
