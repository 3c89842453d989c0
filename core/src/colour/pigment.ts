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
export const reflectance = (q: number): number => 1 + q - Math.sqrt(q * (q + 2));

/**
 * The pigment of a stated colour and strength.
 * @param hex sRGB, six hex digits
 * @param strength relative scattering power, > 0
 * @throws Complaint `colour/unreadable`
 */
export function pigmentOf(hex: string, strength: number): Pigment {
  return { scattering: strength, absorption: reflectanceOf(hex).map((r) => strength * kOverS(r)) };
}

const X_WEIGHTS = WEIGHTS.slice(0, BANDS);
const Y_WEIGHTS = WEIGHTS.slice(BANDS, 2 * BANDS);
const Z_WEIGHTS = WEIGHTS.slice(2 * BANDS);

/** The mix of three pigments; one with no volume may be any. The inner loop of every search and picture. */
export function mixThree(one: Pigment, u: number, other: Pigment, v: number, third: Pigment, w: number): Xyz {
  const scale = 1 / (u * one.scattering + v * other.scattering + w * third.scattering);
  const a = u * scale;
  const b = v * scale;
  const c = w * scale;
  const p = one.absorption;
  const q = other.absorption;
  const r = third.absorption;
  let x = 0;
  let y = 0;
  let z = 0;
  for (let band = 0; band < BANDS; band++) {
    const light = reflectance(a * (p[band] as number) + b * (q[band] as number) + c * (r[band] as number));
    x += (X_WEIGHTS[band] as number) * light;
    y += (Y_WEIGHTS[band] as number) * light;
    z += (Z_WEIGHTS[band] as number) * light;
  }
  return { x, y, z };
}

/** Several pigments as one: scattering and absorption add up by volume. @param volumes one for each */
export function joined(pigments: readonly Pigment[], volumes: ArrayLike<number>): Pigment {
  const absorption = new Float64Array(BANDS);
  let scattering = 0;
  for (let i = 0; i < pigments.length; i++) {
    const own = pigments[i] as Pigment;
    const volume = volumes[i] ?? 0;
    scattering += volume * own.scattering;
    for (let band = 0; band < BANDS; band++)
      absorption[band] = (absorption[band] as number) + volume * (own.absorption[band] as number);
  }
  return { scattering, absorption };
}

/**
 * The colour of pigments mixed by volume: single-constant Kubelka–Munk with
 * scattering weights (docs/models.md §4), `K/S = Σ vᵢsᵢ(K/S)ᵢ / Σ vᵢsᵢ`,
 * integrated over the 36 bands under D65.
 * @param pigments at least one
 * @param volumes a non-negative share for each; they need not sum to 1, but not all be 0
 */
export function mixPigments(pigments: readonly Pigment[], volumes: ArrayLike<number>): Xyz {
  const one = pigments[0];
  if (!one) return { x: 0, y: 0, z: 0 };
  if (pigments.length > 3) {
    const all = joined(pigments, volumes);
    return mixThree(all, 1, all, 0, all, 0);
  }
  return mixThree(one, volumes[0] ?? 0, pigments[1] ?? one, volumes[1] ?? 0, pigments[2] ?? one, volumes[2] ?? 0);
}
