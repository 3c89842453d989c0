import { seeded, type Mm } from '#core/units';
import type { Field } from './body.js';
import { cosine, sine, type Folds } from './rounds.js';

/** How far honest hands leave layers from lying flat, as a share of the height, and at most: assumptions. */
const [UNEVEN, MOST_UNEVEN] = [0.04, 0.35];
/** Length of the longer waves, mm. */
const WAVE: Mm = 26;
/** The shorter waves: so much shorter, and so much lower. */
const [SHORTER, LOWER] = [0.43, 0.4];

/**
 * Layers as hands leave them: two waves in a direction of their own, a flow without sources by the stream function
 * `ψ = A sin(k u) sin(π z / T)`, so that no clay comes or goes; top and bottom stay flat. One midpoint step.
 * @param wobble 0: hands of a machine; 1: honest ones
 */
export function waved(field: Field, thick: Mm, wobble: number, seed: number): Field {
  if (wobble <= 0) return field;
  const chance = seeded(seed * 1009 + 31);
  const turn = 2 * Math.PI * chance();
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const [one, two] = [2 * Math.PI * chance(), 2 * Math.PI * chance()];
  const [k1, k2] = [(2 * Math.PI) / WAVE, (2 * Math.PI) / (WAVE * SHORTER)];
  const up = Math.min(MOST_UNEVEN, UNEVEN * thick) * wobble;
  const [a1, a2] = [up / k1, (up * LOWER) / k2];
  const p = Math.PI / thick;
  return (x, y, z) => {
    const u = x * c + y * s;
    // half a step back, and from there the slopes of the whole step
    const cosZ = cosine(p * z);
    const sinZ = sine(p * z);
    const du = p * cosZ * (a1 * sine(k1 * u + one) + a2 * sine(k2 * u + two));
    const dz = -sinZ * (a1 * k1 * cosine(k1 * u + one) + a2 * k2 * cosine(k2 * u + two));
    const [um, zm] = [u + du / 2, z + dz / 2];
    const far = p * cosine(p * zm) * (a1 * sine(k1 * um + one) + a2 * sine(k2 * um + two));
    const high = -sine(p * zm) * (a1 * k1 * cosine(k1 * um + one) + a2 * k2 * cosine(k2 * um + two));
    return field(x + far * c, y + far * s, z + high);
  };
}

/** How unevenly a rope is twisted, in radians for some turns, and waves over its length: assumptions. */
const [SLIPS, SLIP_WAVES] = [0.35, 2.3];

/** A rope that is twisted and folded so many times, as hands do it. */
export function foldsOf(length: Mm, turns: number, times: number, wobble: number, seed: number): Folds {
  const chance = seeded(seed * 1013 + 57);
  const size = SLIPS * wobble * Math.min(1.5, 0.3 + Math.abs(turns));
  return {
    length,
    by: (2 * Math.PI * turns) / length,
    slip: new Float64Array(times).fill(size),
    first: Float64Array.from({ length: times }, () => 2 * Math.PI * chance()),
    waves: (2 * Math.PI * SLIP_WAVES) / length,
  };
}
