import { strengthOf, type Clay } from '#core/clay';
import { pigmentOf, type Pigment } from './pigment.js';

export const STAGES = ['baked', 'raw'] as const;
export type Stage = (typeof STAGES)[number];

/** Gives the pigment of a clay; a caller with many mixes passes one that remembers. */
export type PigmentSource = (clay: Clay, stage: Stage) => Pigment;

/** The pigment of a clay from its stated colour and its strength. */
export const statedPigment: PigmentSource = (clay, stage) =>
  pigmentOf(stage === 'raw' ? clay.rawHex : clay.bakedHex, strengthOf(clay).value);
