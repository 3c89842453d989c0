import { BANDS, type Pigment } from '#core/colour';
import type { LearnedClay } from './evidence.js';

/** How many terms the correction of a K/S curve has. */
export const TERMS = 9;
/** How far each term of the logarithm of K/S may go: an assumption, smoother ones farther. */
export const SIGMA_OF_TERM = Array.from({ length: TERMS }, (_, term) => 0.45 / (1 + 0.15 * term));

/** The terms: cosines over the 36 bands, the first one flat. `TERMS` rows of 36. */
export const CURVES: Float64Array = Float64Array.from({ length: TERMS * BANDS }, (_, i) => {
  const [term, band] = [Math.floor(i / BANDS), i % BANDS];
  return Math.cos((Math.PI * term * (band + 0.5)) / BANDS);
});

/** A pigment with what was learned of its clay. */
export function correctedPigment(
  stated: Pigment,
  { logStrength, curve }: Pick<LearnedClay, 'logStrength' | 'curve'>,
): Pigment {
  const factor = Math.exp(logStrength);
  return {
    scattering: stated.scattering * factor,
    absorption: stated.absorption.map((a, band) => {
      let log = 0;
      for (let term = 0; term < TERMS; term++) log += (curve[term] ?? 0) * (CURVES[term * BANDS + band] as number);
      return a * factor * Math.exp(log);
    }),
  };
}
