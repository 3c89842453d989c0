/** Maps between simple shapes that keep area, from what is seen after to what lay there before. */

/** What a map found; it is asked for at each pixel. */
export const at = { x: 0.5, y: 0.5 };

const QUARTER = Math.PI / 4;

/**
 * From a square to the disc it was pressed from (P. Shirley and K. Chiu, 1997).
 * @param x from -1 to 1 @param y as `x`; the disc has radius 1
 */
export function discOfSquare(x: number, y: number): void {
  const [a, b] = [Math.abs(x), Math.abs(y)];
  if (a === 0 && b === 0) {
    at.x = at.y = 0;
    return;
  }
  if (a > b) {
    const turn = (QUARTER * y) / x;
    at.x = x * Math.cos(turn);
    at.y = x * Math.sin(turn);
  } else {
    const turn = (QUARTER * x) / y;
    at.x = y * Math.sin(turn);
    at.y = y * Math.cos(turn);
  }
}

/** Steps of a whole turn in the table of sines. */
const TURN_STEPS = 8192;
const SINES = Float64Array.from({ length: TURN_STEPS + TURN_STEPS / 4 + 2 }, (_, k) =>
  Math.sin((2 * Math.PI * k) / TURN_STEPS),
);
const BY = TURN_STEPS / (2 * Math.PI);

/** Sine of an angle, right to a ten-millionth: at each pixel a table is quicker. */
export function sine(angle: number): number {
  const steps = angle * BY;
  const whole = Math.floor(steps);
  const k = whole & (TURN_STEPS - 1);
  const s = SINES[k] as number;
  return s + ((SINES[k + 1] as number) - s) * (steps - whole);
}

/** Cosine and sine of an angle, right to a ten-millionth: at each pixel a table is quicker. Left in `x` and `y`. */
export function cosSin(angle: number): void {
  const steps = angle * BY;
  const whole = Math.floor(steps);
  const part = steps - whole;
  const k = whole & (TURN_STEPS - 1);
  const quarter = k + TURN_STEPS / 4;
  const [s, c] = [SINES[k] as number, SINES[quarter] as number];
  at.y = s + ((SINES[k + 1] as number) - s) * part;
  at.x = c + ((SINES[quarter + 1] as number) - c) * part;
}

/** Directions that a half round is known in: steps around a diamond, a multiple of four. */
const AROUND = 4096;
/** How far the middle of the half round of radius 1 lies from its straight side. */
const MIDDLE = 4 / (3 * Math.PI);

/** Around the middle of the half: the square of how far its edge is, and where in the round that direction goes. */
interface Half {
  readonly edge: Float64Array;
  readonly cos: Float64Array;
  readonly sin: Float64Array;
}

/** The angle of a step around the diamond |x| + |y| = 1, counterclockwise from the right. */
function angleOf(step: number): number {
  const d = (4 * step) / AROUND;
  const quarter = Math.floor(d);
  const p = d - quarter;
  return Math.atan2(p, 1 - p) + (quarter * Math.PI) / 2;
}

function halfRound(): Half {
  const far = (turn: number): number => {
    const c = Math.cos(turn);
    const arc = -MIDDLE * c + Math.sqrt(MIDDLE * MIDDLE * c * c + 1 - MIDDLE * MIDDLE);
    const straight = c < 0 ? -MIDDLE / c : Infinity;
    return Math.min(arc, straight);
  };
  // each step is summed in finer ones, as the edge has corners
  const FINER = 16;
  const swept = new Float64Array(AROUND + 2);
  for (let k = 0; k <= AROUND; k++) {
    const [from, to] = [angleOf(k), angleOf(k + 1)];
    let sum = 0;
    for (let n = 0; n < FINER; n++) sum += far(from + ((n + 0.5) / FINER) * (to - from)) ** 2;
    swept[k + 1] = (swept[k] as number) + ((to - from) * sum) / FINER;
  }
  const turn = (k: number): number => (2 * Math.PI * (swept[k] as number)) / (swept[AROUND] as number);
  return {
    edge: Float64Array.from(swept, (_, k) => far(angleOf(k)) ** 2),
    cos: Float64Array.from(swept, (_, k) => Math.cos(turn(k))),
    sin: Float64Array.from(swept, (_, k) => Math.sin(turn(k))),
  };
}
const HALF = halfRound();

/** A rope that is folded, in numbers for {@link foldsBack}. */
export interface Folds {
  readonly length: number;
  /** radians of twist in a mm */
  readonly by: number;
  /** of hands that twist unevenly: radians at the most and where the waves begin, for each fold; waves in a mm */
  readonly slip: Float64Array;
  readonly first: Float64Array;
  readonly waves: number;
}

/** Radians by which the outside of a rope slips after its middle: an assumption. */
export const LAGS = 1.5;
const MASK = TURN_STEPS - 1;

/** A place in a rope of radius 1 as it is carried back; left by {@link foldsBack}. */
export const rope = { x: 0.5, y: 0.5, along: 0.5 };

/**
 * Folds of a rope carried back, the last one first, all in one loop: it is asked at each pixel, and a call for each
 * fold would take longer than the fold. One fold: the half round that a place lies in, x ≥ 0 or its mirror image that
 * runs backwards, was pressed from a whole round of radius 1, by areas about the half's own middle; before that the
 * rope was drawn out to twice its length, and before that twisted.
 */
export function foldsBack(x: number, y: number, z: number, { length, by, slip, first, waves }: Folds): void {
  const { edge, cos, sin } = HALF;
  for (let fold = slip.length - 1; fold >= 0; fold--) {
    z = x >= 0 ? z / 2 : length - z / 2;
    const dx = (x >= 0 ? x : -x) - MIDDLE;
    const sum = (dx >= 0 ? dx : -dx) + (y >= 0 ? y : -y) + 1e-12;
    const p = y / sum;
    // from 0 to 4 around the diamond
    let d = p;
    if (dx < 0) d = 2 - p;
    else if (p < 0) d = 4 + p;
    const u = d * (AROUND / 4);
    const k = u | 0;
    const on = u - k;
    const far = (edge[k] as number) * (1 - on) + (edge[k + 1] as number) * on;
    let q = (dx * dx + y * y) / far;
    if (q > 1) q = 1;
    const r = Math.sqrt(q);
    const px = r * ((cos[k] as number) * (1 - on) + (cos[k + 1] as number) * on);
    const py = r * ((sin[k] as number) * (1 - on) + (sin[k + 1] as number) * on);
    const wave = (waves * z + (first[fold] as number) + LAGS * q) * BY;
    const steps = (by * z + (slip[fold] as number) * (SINES[wave & MASK] as number)) * BY;
    const whole = Math.floor(steps);
    const part = steps - whole;
    const n = whole & MASK;
    const quarter = n + TURN_STEPS / 4;
    const s = (SINES[n] as number) * (1 - part) + (SINES[n + 1] as number) * part;
    const c = (SINES[quarter] as number) * (1 - part) + (SINES[quarter + 1] as number) * part;
    x = px * c + py * s;
    y = py * c - px * s;
  }
  rope.x = x;
  rope.y = y;
  rope.along = z;
}
