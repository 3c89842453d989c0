import { BANDS, WEIGHTS } from './bands.js';
import type { Xyz } from './lab.js';
import { reflectanceOf } from './upsample.js';

/**
 * A clay as the mixing law sees it: `scattering` s, relative to an ordinary
 * opaque, and `absorption` s·K/S in each of the 36 bands.
 */
export interface Pigment {
  readonly scattering: number;
  readonly absorption: Float64Array;
}

/** K/S of an opaque layer of reflectance R (Kubelka and Munk 1931). */
export const kOverS = (r: number): number => ((1 - r) * (1 - r)) / (2 * r);

/** The reflectance of an opaque layer whose K/S is q: the inverse of {@link kOverS}. */
export const reflectance = (q: number): number => 1 + q - Math.sqrt(q * q + 2 * q);

/**
 * The pigment of a stated colour and strength.
 * @param hex sRGB, six hex digits
 * @param strength relative scattering power, > 0
 * @throws Complaint `colour/unreadable`
 */
export function pigmentOf(hex: string, strength: number): Pigment {
  return { scattering: strength, absorption: reflectanceOf(hex).map((r) => strength * kOverS(r)) };
}

/**
 * The colour of pigments mixed by volume: single-constant Kubelka–Munk with
 * scattering weights (docs/models.md §3), `K/S = Σ vᵢsᵢ(K/S)ᵢ / Σ vᵢsᵢ`,
 * integrated over the 36 bands under D65.
 * @param pigments at least one
 * @param volumes a non-negative share for each; they need not sum to 1, but not all be 0
 */
export function mixPigments(pigments: readonly Pigment[], volumes: ArrayLike<number>): Xyz {
  let scattering = 0;
  for (let i = 0; i < pigments.length; i++) scattering += (volumes[i] ?? 0) * (pigments[i]?.scattering ?? 0);
  const scale = 1 / scattering;
  let x = 0;
  let y = 0;
  let z = 0;
  for (let band = 0; band < BANDS; band++) {
    let q = 0;
    for (let i = 0; i < pigments.length; i++) {
      q += (volumes[i] as number) * ((pigments[i] as Pigment).absorption[band] as number);
    }
    const r = reflectance(q * scale);
    x += (WEIGHTS[band] as number) * r;
    y += (WEIGHTS[BANDS + band] as number) * r;
    z += (WEIGHTS[2 * BANDS + band] as number) * r;
  }
  return { x, y, z };
}
