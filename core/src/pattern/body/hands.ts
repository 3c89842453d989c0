import { seeded, type Mm } from '#core/units';
import type { Field } from './body.js';
import { at as found, cosSin, type Folds } from './rounds.js';

/** How far honest hands leave layers from lying flat, as a share of the height, and at most: assumptions. */
const [UNEVEN, MOST_UNEVEN] = [0.04, 0.35];
/** Length of the longer waves, mm. */
const WAVE: Mm = 26;
/** Waves of each kind until both begin anew together, and how much lower the shorter ones are. */
const [LONG, SHORT, LOWER] = [3, 7, 0.4];
/** Steps of the table of both waves; a power of two. */
const STEPS = 4096;
const BY = STEPS / (LONG * WAVE);

/** Sums of both waves, and their slopes, one after the other, over the length in which they begin anew. */
function wavesOf(up: Mm, chance: () => number): Float64Array {
  const [one, two] = [2 * Math.PI * chance(), 2 * Math.PI * chance()];
  const [k1, k2] = [(2 * Math.PI) / WAVE, (2 * Math.PI * SHORT) / (LONG * WAVE)];
  const [a1, a2] = [up / k1, (up * LOWER) / k2];
  const table = new Float64Array(2 * (STEPS + 1));
  for (let i = 0; i <= STEPS; i++) {
    const u = i / BY;
    table[2 * i] = a1 * Math.sin(k1 * u + one) + a2 * Math.sin(k2 * u + two);
    table[2 * i + 1] = a1 * k1 * Math.cos(k1 * u + one) + a2 * k2 * Math.cos(k2 * u + two);
  }
  return table;
}

/**
 * Layers as hands leave them: two waves in a direction of their own, a flow without sources by the stream function
 * `ψ = S(u) sin(π z / T)`, so that no clay comes or goes; top and bottom stay flat. One midpoint step.
 * @param wobble 0: hands of a machine; 1: honest ones
 */
export function waved(field: Field, thick: Mm, wobble: number, seed: number): Field {
  if (wobble <= 0) return field;
  const chance = seeded(seed * 1009 + 31);
  const turn = 2 * Math.PI * chance();
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const waves = wavesOf(Math.min(MOST_UNEVEN, UNEVEN * thick) * wobble, chance);
  const p = Math.PI / thick;
  /** How far a place comes along the waves, and up: left in `moved`. */
  const move = (u: Mm, z: Mm): void => {
    const steps = u * BY;
    const whole = Math.floor(steps);
    const part = steps - whole;
    const k = 2 * (whole & (STEPS - 1));
    const [sum, slope] = [waves[k] as number, waves[k + 1] as number];
    cosSin(p * z);
    moved.along = p * found.x * (sum + ((waves[k + 2] as number) - sum) * part);
    moved.up = -found.y * (slope + ((waves[k + 3] as number) - slope) * part);
  };
  return (x, y, z) => {
    const u = x * c + y * s;
    // half a step back, and from there the slopes of the whole step
    move(u, z);
    move(u + moved.along / 2, z + moved.up / 2);
    return field(x + moved.along * c, y + moved.along * s, z + moved.up);
  };
}
/** What a move found; it is asked for at each pixel. */
const moved = { along: 0.5, up: 0.5 };

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
