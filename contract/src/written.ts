import { ArrayMaxSize, IsArray, IsIn } from 'class-validator';
import { MOST_PICTURES, OUTCOMES, type Outcome } from './limits.js';
import { Between, Id, Inside, IsoDate, Omittable, Text, Things, all } from './rules.js';

export const WentAs = (): PropertyDecorator =>
  all(Omittable(), IsIn(OUTCOMES, { message: 'It worked, nearly worked, or failed.' }));

/**
 * How a photograph lies over the picture of the plan, both as they fill a square: its middle off the middle of the
 * plan in sides of it, how much larger it is, and how far it is turned, degrees.
 */
export class OverPlan {
  @Between('How far it is moved', -2, 2, '') x!: number;
  @Between('How far it is moved', -2, 2, '') y!: number;
  @Between('How large it is', 0.05, 20, '') scale!: number;
  @Between('How far it is turned', -360, 360, '°') turn!: number;
}

/** What went wrong at a place of a photograph: from its left and from its top, in parts of it. */
export class TroubleMark {
  @Between('A place', 0, 1, '') x!: number;
  @Between('A place', 0, 1, '') y!: number;
  @Text(80) what!: string;
}

/** A photograph, by the id it is kept under. */
export class EntryPictureDto {
  @Id() id!: string;
  /** null or left out: nobody has laid it over the plan */
  @Omittable() @Inside(() => OverPlan, 'How it lies') lay?: OverPlan | null;
  /** null or left out: nothing is marked */
  @Omittable()
  @IsArray({ message: 'Marks are a list.' })
  @ArrayMaxSize(20, { message: 'At most 20 places of a photograph are marked.' })
  @Things(() => TroubleMark)
  marks?: TroubleMark[] | null;
}

export const PictureList = (): PropertyDecorator =>
  all(
    Omittable(),
    IsArray({ message: 'Photographs are a list.' }),
    ArrayMaxSize(MOST_PICTURES, { message: `At most ${MOST_PICTURES} photographs of one entry are kept.` }),
    Things(() => EntryPictureDto),
  );

/** What is said at every *Done*: the entry of the diary. */
export class WrittenDto {
  @Id() entryId!: string;
  @IsoDate() madeOn!: string;
  @Text(8000) note!: string;
  /** null or left out: nobody has said */
  @WentAs() outcome?: Outcome | null;
  /** kept before, in their order; null or left out: none */
  @PictureList() pictures?: EntryPictureDto[] | null;
}
