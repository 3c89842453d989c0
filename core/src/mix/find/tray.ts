import { BANDS, labBoxOf, leastDeltaE, reflectance, type Lab, type Pigment } from '#core/colour';
import { CORNERS, type Cell } from './ratios.js';

/**
 * Pigments laid out for a search: bounds against one target,
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
    pigments: readonly Pigment[],
    private readonly target: Lab,
  ) {
    this.scattering = Float64Array.from(pigments, (p) => p.scattering);
    this.absorption = new Float64Array(pigments.length * BANDS);
    pigments.forEach((p, i) => {
      this.absorption.set(p.absorption, i * BANDS);
    });
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
