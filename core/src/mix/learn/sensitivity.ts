import { BANDS, WEIGHTS, WHITE, labOf, reflectance, type Frame, type Lab, type Pigment } from '#core/colour';
import { CURVES, TERMS } from './curves.js';

/** What is learned of each clay: its strength, and the terms of its curve. */
export const UNKNOWNS = 1 + TERMS;

/** A colour, and how each unknown of each of its clays would move it: 3 rows (L*, a*, b*) of n·UNKNOWNS. */
export interface Sensitivity {
  readonly lab: Lab;
  readonly rows: Float64Array;
}

const EPSILON = 216 / 24389;
const KAPPA = 24389 / 27;
const slopeOfF = (t: number): number => (t > EPSILON ? 1 / (3 * Math.cbrt(t) ** 2) : KAPPA / 116);

/**
 * The predicted colour of a mix and its derivative by the logarithm of each
 * clay's strength and by each term of the logarithm of its K/S.
 * @param pigments with what is learned so far
 * @param volumes one for each
 */
export function sensitivity(pigments: readonly Pigment[], volumes: readonly number[]): Sensitivity {
  const n = pigments.length;
  const columns = n * UNKNOWNS;
  const xyz = new Float64Array(3);
  const slopes = new Float64Array(3 * columns);
  const own = new Float64Array(n);
  let scattering = 0;
  for (let i = 0; i < n; i++) scattering += (volumes[i] as number) * (pigments[i] as Pigment).scattering;
  for (let band = 0; band < BANDS; band++) {
    let q = 0;
    for (let i = 0; i < n; i++) {
      own[i] = ((volumes[i] as number) * ((pigments[i] as Pigment).absorption[band] as number)) / scattering;
      q += own[i] as number;
    }
    const r = reflectance(q);
    const drdq = 1 - (q + 1) / Math.sqrt(q * q + 2 * q);
    for (let row = 0; row < 3; row++) {
      const w = WEIGHTS[row * BANDS + band] as number;
      xyz[row] = (xyz[row] as number) + w * r;
      const slope = w * drdq;
      for (let i = 0; i < n; i++) {
        const at = row * columns + i * UNKNOWNS;
        const share = ((volumes[i] as number) * (pigments[i] as Pigment).scattering) / scattering;
        slopes[at] = (slopes[at] as number) + slope * ((own[i] as number) - q * share);
        for (let term = 0; term < TERMS; term++) {
          slopes[at + 1 + term] =
            (slopes[at + 1 + term] as number) + slope * (own[i] as number) * (CURVES[term * BANDS + band] as number);
        }
      }
    }
  }
  const [x = 0, y = 0, z = 0] = xyz;
  const [fx, fy, fz] = [slopeOfF(x / WHITE.x) / WHITE.x, slopeOfF(y), slopeOfF(z / WHITE.z) / WHITE.z];
  const rows = new Float64Array(3 * columns);
  for (let k = 0; k < columns; k++) {
    const [dx, dy, dz] = [
      fx * (slopes[k] as number),
      fy * (slopes[columns + k] as number),
      fz * (slopes[2 * columns + k] as number),
    ];
    rows[k] = 116 * dy;
    rows[columns + k] = 500 * (dx - dy);
    rows[2 * columns + k] = 200 * (dy - dz);
  }
  return { lab: labOf({ x, y, z }), rows };
}

/** A difference of L*, a* and b* seen through a frame: its length is ΔE00, divided by `sigma`. */
export function seenThrough(
  frame: Frame,
  l: number,
  a: number,
  b: number,
  sigma: number,
): readonly [number, number, number] {
  const row = (r: number): number =>
    ((frame[3 * r] as number) * l + (frame[3 * r + 1] as number) * a + (frame[3 * r + 2] as number) * b) / sigma;
  return [row(0), row(1), row(2)];
}

/** The rows of a mix of some clays, seen through a frame, and where its unknowns stand among those of all clays. */
export interface Sight {
  readonly places: Int32Array;
  readonly rows: Float64Array;
}

/** @param of places of the clays */
export function sightOf(of: readonly number[], rows: Float64Array, frame: Frame, sigma: number): Sight {
  const columns = of.length * UNKNOWNS;
  const through = new Float64Array(rows.length);
  for (let k = 0; k < columns; k++) {
    const seen = seenThrough(
      frame,
      rows[k] as number,
      rows[columns + k] as number,
      rows[2 * columns + k] as number,
      sigma,
    );
    for (let r = 0; r < 3; r++) through[r * columns + k] = seen[r] as number;
  }
  return {
    places: Int32Array.from(
      { length: columns },
      (_, k) => (of[Math.floor(k / UNKNOWNS)] as number) * UNKNOWNS + (k % UNKNOWNS),
    ),
    rows: through,
  };
}

/** Adds JᵀJ of a sight to the matrix of all unknowns. */
export function addInformation(matrix: Float64Array, size: number, { places, rows }: Sight, weight: number): void {
  const columns = places.length;
  for (let a = 0; a < columns; a++) {
    const at = (places[a] as number) * size;
    for (let b = 0; b < columns; b++) {
      let sum = 0;
      for (let r = 0; r < 3; r++) sum += (rows[r * columns + a] as number) * (rows[r * columns + b] as number);
      const to = at + (places[b] as number);
      matrix[to] = (matrix[to] as number) + weight * sum;
    }
  }
}

/** J·M·Jᵀ of a sight and a symmetric matrix of all unknowns: 3×3. */
export function sandwich({ places, rows }: Sight, matrix: Float64Array, size: number): Float64Array {
  const columns = places.length;
  const out = new Float64Array(9);
  for (let a = 0; a < columns; a++)
    for (let b = 0; b < columns; b++) {
      const m = matrix[(places[a] as number) * size + (places[b] as number)] as number;
      if (m === 0) continue;
      for (let r = 0; r < 3; r++)
        for (let s = 0; s < 3; s++)
          out[3 * r + s] =
            (out[3 * r + s] as number) + (rows[r * columns + a] as number) * m * (rows[s * columns + b] as number);
    }
  return out;
}
