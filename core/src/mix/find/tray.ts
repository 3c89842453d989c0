import {
  BANDS,
  ciede2000,
  labBoxOf,
  labOf,
  leastDeltaE,
  mixThree,
  reflectance,
  type Lab,
  type Pigment,
} from '#core/colour';
import { CORNERS, type Cell } from './ratios.js';

/** L* differs by more than this many times ΔE00 nowhere: S_L is at most 1.75. */
const MOST_LIGHTNESS_SCALE = 1.75;

/**
 * Pigments laid out for a search: predictions and bounds against one target,
 * on typed arrays that are used again and again.
 */
export class Tray {
  private readonly absorption: Float64Array;
  private readonly scattering: Float64Array;
  private readonly low = new Float64Array(BANDS);
  private readonly high = new Float64Array(BANDS);
  private readonly curves = CORNERS.map(() => new Float64Array(BANDS));
  private readonly drawn = new Int32Array(CORNERS.length);
  private triple = 0;
  private of: readonly [number, number, number] = [0, 0, 0];

  constructor(
    private readonly pigments: readonly Pigment[],
    private readonly target: Lab,
  ) {
    this.scattering = Float64Array.from(pigments, (p) => p.scattering);
    this.absorption = new Float64Array(pigments.length * BANDS);
    pigments.forEach((p, i) => {
      this.absorption.set(p.absorption, i * BANDS);
    });
  }

  /**
   * ΔE00 of a mix of up to three clays, or Infinity where its lightness alone
   * is farther from the target than `limit`.
   * @param i @param j @param k clays; a clay with no units may be any
   */
  deltaE(i: number, j: number, k: number, a: number, b: number, c: number, limit: number): number {
    const { pigments, target } = this;
    const lab = labOf(mixThree(pigments[i] as Pigment, a, pigments[j] as Pigment, b, pigments[k] as Pigment, c));
    if (Math.abs(lab.l - target.l) > MOST_LIGHTNESS_SCALE * limit) return Infinity;
    return ciede2000(target.l, target.a, target.b, lab.l, lab.a, lab.b);
  }

  /** Goes on to another three clays. */
  take(of: readonly [number, number, number]): void {
    this.of = of;
    this.triple++;
  }

  private curveAt(place: number): Float64Array {
    const curve = this.curves[place] as Float64Array;
    if (this.drawn[place] === this.triple) return curve;
    this.drawn[place] = this.triple;
    const [a = 0, b = 0, c = 0] = CORNERS[place] ?? [];
    const {
      absorption,
      scattering,
      of: [i, j, k],
    } = this;
    const scale = 1 / (a * (scattering[i] as number) + b * (scattering[j] as number) + c * (scattering[k] as number));
    for (let band = 0; band < BANDS; band++) {
      curve[band] = reflectance(
        (a * (absorption[i * BANDS + band] as number) +
          b * (absorption[j * BANDS + band] as number) +
          c * (absorption[k * BANDS + band] as number)) *
          scale,
      );
    }
    return curve;
  }

  /**
   * No mix of the three clays in a cell comes closer to the target than
   * this. In a cell K/S is a mean of its corners' with positive weights, so
   * that every reflectance lies between theirs in every band.
   */
  bound({ corners }: Cell): number {
    const { low, high } = this;
    const [p, q, r] = [this.curveAt(corners[0]), this.curveAt(corners[1]), this.curveAt(corners[2])];
    for (let band = 0; band < BANDS; band++) {
      const [x, y, z] = [p[band] as number, q[band] as number, r[band] as number];
      low[band] = Math.min(x, Math.min(y, z));
      high[band] = Math.max(x, Math.max(y, z));
    }
    return leastDeltaE(this.target, labBoxOf(low, high));
  }
}
