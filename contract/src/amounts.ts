import type { OwnColour } from '#core/stock';
import type { OfMade, OfScrap } from '#core/material';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsIn } from 'class-validator';
import { MadeOf } from './material.js';
import { Between, Id, Omittable, Things, all } from './rules.js';

/** What really went in, off the shelf. */
export class UsedDto {
  @Id() clayId!: string;
  @Between('The clay used', 0, 50000, 'g') grams!: number;
}

/** The rule for a list of them. */
export const UsedList = (): PropertyDecorator =>
  all(
    IsArray({ message: 'Say how much of each clay was used.' }),
    ArrayMaxSize(400, { message: 'At most 400 clays.' }),
    Things(() => UsedDto),
  );

/** Something that lies there, and how much of it went in. */
export class TakenDto {
  @MadeOf('taken', 'Say what was taken.') of!: OfMade | OfScrap;
  @Between('What was taken', 0, 50_000, 'g') grams!: number;
}

/** The rule for a list of them; left out: none. */
export const TakenList = (): PropertyDecorator =>
  all(
    Omittable(),
    IsArray({ message: 'What was taken of things that lie there is a list.' }),
    ArrayMaxSize(200, { message: 'At most 200 things are taken at once.' }),
    Things(() => TakenDto),
  );

export class ScrapPartDto {
  @MadeOf('left', 'Say what is left over.') of!: OwnColour;
  @Between('What is left over', 0, 50_000, 'g') grams!: number;
}

export const LEFT_TO = ['tub', 'lump', 'thrown'] as const;

/** What is left over at the end, and what becomes of it. */
export class LeftDto {
  /** what is in it, mixed up */
  @IsArray({ message: 'What is left over is a list of materials.' })
  @ArrayMinSize(1, { message: 'Say what is left over.' })
  @ArrayMaxSize(60, { message: 'At most 60 materials in one left-over.' })
  @Things(() => ScrapPartDto)
  parts!: ScrapPartDto[];
  /** one material alone can be kept as a lump */
  @IsIn(LEFT_TO, { message: 'It goes to a tub, is kept as a lump, or is thrown away.' }) to!: (typeof LEFT_TO)[number];
  /** null or left out: the tub that fits, which is made where there is none yet */
  @Omittable() @Id() tubId?: string | null;
}

/** The rule for a list of them; left out: nothing is left over. */
export const LeftList = (): PropertyDecorator =>
  all(
    Omittable(),
    IsArray({ message: 'What is left over is a list.' }),
    ArrayMaxSize(120, { message: 'At most 120 left-overs at once.' }),
    Things(() => LeftDto),
  );
