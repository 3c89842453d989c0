import { CUTTER_SHAPES, LIES, MOST_CUTTER_POINTS, type CutterShape } from '#core/cutter';
import type { Point } from '#core/outline';
import { ArrayMaxSize, IsArray, IsBoolean, IsIn } from 'class-validator';
import { Between, Id, Name, Omittable, Optional, PointList, Things, Version, Whole, all } from './rules.js';

/** The rule for how pieces lie; left out: as close as they go. */
export const LiesAs = (): PropertyDecorator =>
  all(Omittable(), IsIn(LIES, { message: `Pieces lie in one of these ways: ${LIES.join(', ')}.` }));

/** What pieces are cut with. */
export class CutterDto {
  @IsIn(CUTTER_SHAPES, { message: `A cutter has one of these shapes: ${CUTTER_SHAPES.join(', ')}.` })
  shape!: CutterShape;
  @Between('The cutter', 1, 500, 'mm') widthMm!: number;
  /** null for a round one */
  @Optional() @Between('The cutter', 1, 500, 'mm') heightMm!: number | null;
  /** clay around an opening; null or left out: it is whole */
  @Omittable() @Between('The rim', 0.3, 200, 'mm') rimMm?: number | null;
  /** of a drawn one, in any size; y up */
  @Omittable() @PointList('The outline', MOST_CUTTER_POINTS) points?: readonly Point[] | null;
}

/** Where a cutter was put: its middle from the lower left corner of what was left, and how far it was turned. */
export class HandPlaceDto {
  @Between('The place of a piece', 0, 20_000, 'mm') x!: number;
  @Between('The place of a piece', 0, 20_000, 'mm') y!: number;
  @Between('The turn of a piece', -360, 360, '°') degrees!: number;
  /** the cutter lies with its other side up; left out: it does not */
  @Omittable() @IsBoolean({ message: 'Say whether the cutter is flipped.' }) flip?: boolean;
}

/** Pieces that are put on one sheet by hand, at the most. */
export const MOST_PLACES = 200;

/** Where pieces are cut of a sheet that is laid as it lies there: each was put there. */
export class PlacedDto {
  @IsBoolean({ message: 'Say whether the sheet is round.' }) round!: boolean;
  /** of that sheet, which is the top layer */
  @Between('The thickness', 0.05, 300, 'mm') mm!: number;
  /** which of the sheets of a patterned sheet, from 0, and whose hands it was looked at with */
  @Whole('The sheet', 0, 5999) sheet!: number;
  @Whole('The hands', 0, 1_000_000) hands!: number;
  @IsArray({ message: 'Places of pieces are a list.' })
  @ArrayMaxSize(MOST_PLACES, { message: `At most ${MOST_PLACES} pieces are put on a sheet by hand.` })
  @Things(() => HandPlaceDto)
  places!: HandPlaceDto[];
}

/** PUT /api/cutters/:id: one of the maker's own drawer. */
export class OwnCutterDto extends CutterDto {
  @Id() id!: string;
  @Version() version!: number;
  @Name('A cutter') name!: string;
}

/** GET /api/cutters: the smallest first. */
export type DrawerAnswer = readonly OwnCutterDto[];
