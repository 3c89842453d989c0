import { labOf, mixPigments, type Lab, type Pigment } from '#core/colour';
import { TERMS, correctedPigment } from './curves.js';
import { UNKNOWNS, sensitivity } from './sensitivity.js';

const STEPS = 30;
const LONGEST = 1;
/** Keeps a step finite where the three directions of colour nearly coincide. */
const EASE = 1e-4;

/** Solves the symmetric 3×3 system `a·x = b` by Cramer's rule. */
function solve3(a: readonly number[], b: readonly number[]): number[] {
  const det = (m: readonly number[]): number => {
    const [p = 0, q = 0, r = 0, s = 0, t = 0, u = 0, v = 0, w = 0, x = 0] = m;
    return p * (t * x - u * w) - q * (s * x - u * v) + r * (s * w - t * v);
  };
  const whole = det(a);
  return [0, 1, 2].map(
    (column) => det(a.map((value, k) => (k % 3 === column ? (b[Math.floor(k / 3)] ?? 0) : value))) / whole,
  );
}

/**
 * A pigment bent as little as need be until it has a measured colour: its
 * scattering stays, its K/S curve is multiplied by a smooth one (least
 * squares of the terms, by Newton's method). Where no surface has the colour
 * it comes as near as it can.
 */
export function matchedPigment(pigment: Pigment, lab: Lab): Pigment {
  const curve = new Float64Array(TERMS);
  let best = pigment;
  let least = Infinity;
  for (let step = 0; step <= STEPS; step++) {
    const now = correctedPigment(pigment, { logStrength: 0, curve: Array.from(curve) });
    const is = labOf(mixPigments([now], [1]));
    const off = [lab.l - is.l, lab.a - is.a, lab.b - is.b];
    const far = Math.hypot(...off);
    if (!(far < least + 20)) break;
    if (far < least) {
      least = far;
      best = now;
    }
    if (far < 1e-7) break;
    const { rows } = sensitivity([now], [1]);
    const at = (row: number, term: number): number => rows[row * UNKNOWNS + 1 + term] as number;
    const square = Array.from({ length: 9 }, (_, k) => {
      let sum = 0;
      for (let term = 0; term < TERMS; term++) sum += at(Math.floor(k / 3), term) * at(k % 3, term);
      return k % 4 === 0 ? sum + EASE : sum;
    });
    const pull = solve3(square, off);
    const move = Float64Array.from({ length: TERMS }, (_, term) =>
      pull.reduce((sum, p, row) => sum + p * at(row, term), 0),
    );
    const longest = move.reduce((most, m) => Math.max(most, Math.abs(m)), 0);
    const scale = longest > LONGEST ? LONGEST / longest : 1;
    for (let term = 0; term < TERMS; term++) curve[term] = (curve[term] as number) + scale * (move[term] as number);
  }
  return best;
}
