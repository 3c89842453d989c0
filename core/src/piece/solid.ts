import type { Point } from '#core/outline';
import type { Mm, Mm3 } from '#core/units';

/** How far below and above a place the clay of a part reaches, over what it rests on. */
export interface Reach {
  readonly low: Mm;
  readonly high: Mm;
}

/** A part as a body: its middle at the origin, its outer end towards +y. */
export interface Solid {
  /** its edge from above, mm, counterclockwise */
  readonly outline: readonly Point[];
  /** an opening in it */
  readonly opening: readonly Point[] | null;
  /** lines that are seen on it: pressed in, or where one snake lies beside the other */
  readonly lines: readonly (readonly Point[])[];
  /** at a place within the outline */
  readonly reach: (x: Mm, y: Mm) => Reach | null;
  /** soft as a sheet, it lies on whatever is below; otherwise it rests on the highest of it */
  readonly drapes: boolean;
  /** of its own material */
  readonly volume: Mm3;
  /** of the other material: of a core, or the second snake of a twist */
  readonly second: Mm3;
  /** mm of the sheet that it is cut of; null where it is no sheet */
  readonly sheet: Mm | null;
  /** mm of clay, for the oven, at its thickest */
  readonly thickest: Mm;
}

export const ROUND_POINTS = 48;

/** A closed line around the origin. */
export const ellipse = (width: Mm, height: Mm, count = ROUND_POINTS): Point[] =>
  Array.from({ length: count }, (_, i): Point => {
    const angle = (2 * Math.PI * i) / count;
    return [(width / 2) * Math.cos(angle), (height / 2) * Math.sin(angle)];
  });

export const box = (width: Mm, height: Mm): Point[] => [
  [-width / 2, -height / 2],
  [width / 2, -height / 2],
  [width / 2, height / 2],
  [-width / 2, height / 2],
];
