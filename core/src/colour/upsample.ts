import { BANDS, WEIGHTS } from './bands.js';
import { solveInPlace } from '#core/linear';
import { FROM_XYZ, linearOf } from './srgb.js';

/** Linear sRGB of a spectrum as three rows of 36 weights. */
const RGB_WEIGHTS: Float64Array = (() => {
  const out = new Float64Array(3 * BANDS);
  FROM_XYZ.forEach((row, channel) => {
    for (let band = 0; band < BANDS; band++) {
      out[channel * BANDS + band] = row.reduce((sum, m, k) => sum + m * (WEIGHTS[k * BANDS + band] ?? 0), 0);
    }
  });
  return out;
})();

const ROWS = BANDS + 3;
const NEWTON_STEPS = 60;
const LARGEST_STEP = 2;
/** No real surface is blacker: keeps the curve inside (0, 1) where hex says 00. */
const DARKEST = 2e-5;
const LIGHTEST = 0.9995;

/**
 * The smoothest reflectance curve of a stated colour, 36 bands, each in
 * (0, 1). Scott A. Burns, "Numerical methods for smoothest reflectance
 * reconstruction" (2020), the hyperbolic-tangent form: R = (tanh z + 1)/2,
 * least squared slope of z, colour matched exactly, solved by Newton's
 * method on the Lagrangian.
 * @param hex six hex digits, sRGB
 * @throws Complaint `colour/unreadable`
 */
export function reflectanceOf(hex: string): Float64Array {
  const target = linearOf(hex).map((v) => Math.min(LIGHTEST, Math.max(DARKEST, v)));
  const grey = target.reduce((a, b) => a + b, 0) / 3;
  const z = new Float64Array(BANDS).fill(Math.atanh(2 * grey - 1));
  const lambda = new Float64Array(3);
  const curve = new Float64Array(BANDS);
  const jacobian = new Float64Array(ROWS * ROWS);
  const residual = new Float64Array(ROWS);

  for (let step = 0; step < NEWTON_STEPS; step++) {
    jacobian.fill(0);
    let error = 0;
    for (let i = 0; i < BANDS; i++) {
      const t = Math.tanh(z[i] ?? 0);
      const slope = (1 - t * t) / 2;
      curve[i] = (t + 1) / 2;
      let pull = 0;
      for (let c = 0; c < 3; c++) {
        const w = RGB_WEIGHTS[c * BANDS + i] ?? 0;
        pull += w * (lambda[c] ?? 0);
        jacobian[i * ROWS + BANDS + c] = w * slope;
        jacobian[(BANDS + c) * ROWS + i] = w * slope;
      }
      const ends = (i > 0 ? 2 : 0) + (i < BANDS - 1 ? 2 : 0);
      let flat = ends * (z[i] ?? 0);
      if (i > 0) {
        flat -= 2 * (z[i - 1] ?? 0);
        jacobian[i * ROWS + i - 1] = -2;
      }
      if (i < BANDS - 1) {
        flat -= 2 * (z[i + 1] ?? 0);
        jacobian[i * ROWS + i + 1] = -2;
      }
      jacobian[i * ROWS + i] = ends - 2 * t * slope * pull;
      residual[i] = -(flat + pull * slope);
      error = Math.max(error, Math.abs(residual[i] ?? 0));
    }
    for (let c = 0; c < 3; c++) {
      let sum = 0;
      for (let i = 0; i < BANDS; i++) sum += (RGB_WEIGHTS[c * BANDS + i] ?? 0) * (curve[i] ?? 0);
      residual[BANDS + c] = (target[c] ?? 0) - sum;
      error = Math.max(error, Math.abs(residual[BANDS + c] ?? 0) * 10);
    }
    if (error < 1e-8) break;
    if (!solveInPlace(jacobian, residual)) break;
    let longest = 0;
    for (let i = 0; i < BANDS; i++) longest = Math.max(longest, Math.abs(residual[i] ?? 0));
    const scale = longest > LARGEST_STEP ? LARGEST_STEP / longest : 1;
    for (let i = 0; i < BANDS; i++) z[i] = (z[i] ?? 0) + scale * (residual[i] ?? 0);
    for (let c = 0; c < 3; c++) lambda[c] = (lambda[c] ?? 0) + scale * (residual[BANDS + c] ?? 0);
  }
  return curve;
}
