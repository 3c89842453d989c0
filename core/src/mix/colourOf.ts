import { type Clay, strengthOf } from '#core/clay';
import { hexOf, labOf, mixPigments, pigmentOf, type Lab, type Pigment } from '#core/colour';
import type { Flat } from './flatten.js';

export const STAGES = ['baked', 'raw'] as const;
export type Stage = (typeof STAGES)[number];

/** How the colour of a chip was measured. */
export const CHIP_WAYS = ['colour reader', 'photograph', 'by eye'] as const;
export type ChipWay = (typeof CHIP_WAYS)[number];

export interface MixColour {
  readonly lab: Lab;
  /** sRGB, six hex digits, clipped where the screen cannot show it */
  readonly hex: string;
}

/** Gives the pigment of a clay; a caller with many mixes passes one that remembers. */
export type PigmentSource = (clay: Clay, stage: Stage) => Pigment;

/** The pigment of a clay from its stated colour and its strength. */
export const statedPigment: PigmentSource = (clay, stage) =>
  pigmentOf(stage === 'raw' ? clay.rawHex : clay.bakedHex, strengthOf(clay).value);

/** A {@link PigmentSource} that works each colour and strength out once. */
export function rememberedPigments(): PigmentSource {
  const known = new Map<string, Pigment>();
  return (clay, stage) => {
    const hex = stage === 'raw' ? clay.rawHex : clay.bakedHex;
    const key = `${hex}:${strengthOf(clay).value}`;
    const pigment = known.get(key) ?? statedPigment(clay, stage);
    known.set(key, pigment);
    return pigment;
  };
}

/** The predicted colour of a mix, raw or baked (docs/models.md §3). */
export function colourOf(flat: Flat, stage: Stage, pigments: PigmentSource = statedPigment): MixColour {
  const xyz = mixPigments(
    flat.shares.map(({ clay }) => pigments(clay, stage)),
    flat.shares.map(({ volume }) => volume.valueOf()),
  );
  return { lab: labOf(xyz), hex: hexOf(xyz) };
}
