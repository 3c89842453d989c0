import { RESCUED_FROM, type RescuedFrom } from '#core/conditioning';
import type { Squeeze } from '#core/clay';
import { IsIn } from 'class-validator';
import { Between, Id, Inside, Omittable, Version, Whole } from './rules.js';
import { SqueezedAs } from './shelf.js';
import { WrittenDto } from './written.js';

/** Clay of another block that is worked in. */
export class WorkedInDto {
  @Id() blockId!: string;
  @Between('What is worked in', 0.1, 5000, 'g') grams!: number;
}

/** POST /api/blocks/:id/rescued: a block, or a part of it, is brought back. */
export class RescuedDto extends WrittenDto {
  /** of the block */
  @Version() version!: number;
  /** taken of the block, with its crumbs */
  @Between('What is taken of the block', 0.1, 5000, 'g') grams!: number;
  @IsIn(RESCUED_FROM, { message: 'It is stiff, cracks, crumbles, or is too soft.' }) from!: RescuedFrom;
  /** crumbs that could not be worked in again */
  @Between('What was lost', 0, 5000, 'g') lostGrams!: number;
  @IsIn(['tub', 'thrown'], { message: 'It goes to a tub or is thrown away.' }) lostTo!: 'tub' | 'thrown';
  @Whole('The number of drops', 0, 2000) drops!: number;
  /** null or left out: no clay */
  @Omittable() @Inside(() => WorkedInDto, 'What is worked in') added?: WorkedInDto | null;
  /** the id that it gets: of a block, or of a lump of a mix */
  @Id() newId!: string;
  /** where its colour shows it: the mix it is by now; null or left out: it is a block of its clay */
  @Omittable() @Id() revisionId?: string | null;
  /** what it does between the fingers now; null or left out: as it is reckoned */
  @SqueezedAs() squeezed?: Squeeze | null;
}

export interface RescuedAnswer {
  readonly entryId: string;
  /** what lies there now */
  readonly made: 'block' | 'lump';
  readonly grams: number;
}
