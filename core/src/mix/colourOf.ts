import { hexOf, labOf, mixPigments, statedPigment, type Lab, type PigmentSource, type Stage } from '#core/colour';
import type { Flat } from './flatten.js';

export interface MixColour {
  readonly lab: Lab;
  /** sRGB, six hex digits, clipped where the screen cannot show it */
  readonly hex: string;
}

/** The predicted colour of a mix, raw or baked (docs/models.md §3). */
export function colourOf(flat: Flat, stage: Stage, pigments: PigmentSource = statedPigment): MixColour {
  const xyz = mixPigments(
    flat.shares.map(({ clay }) => pigments(clay, stage)),
    flat.shares.map(({ volume }) => volume.valueOf()),
  );
  return { lab: labOf(xyz), hex: hexOf(xyz) };
}
