import { CUTTER_SHAPES, LIES, MOST_CUTTER_POINTS, type CutterShape } from '#core/cutter';
import type { Point } from '#core/outline';
import { IsIn } from 'class-validator';
import { Between, Id, Name, Omittable, Optional, PointList, Version, all } from './rules.js';

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
}

/** PUT /api/cutters/:id: one of the maker's own drawer. */
export class OwnCutterDto extends CutterDto {
  @Id() id!: string;
  @Version() version!: number;
  @Name('A cutter') name!: string;
}

/** GET /api/cutters: the smallest first. */
export type DrawerAnswer = readonly OwnCutterDto[];
