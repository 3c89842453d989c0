/** Maps between simple shapes that keep area, from what is seen after to what lay there before. */

/** What a map found; it is asked for at each pixel. */
export const at = { x: 0, y: 0, r: 0, turn: 0 };

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

/** Directions that a half round is known in. */
const AROUND = 2048;
/** How far the middle of the half round of radius 1 lies from its straight side. */
const MIDDLE = 4 / (3 * Math.PI);

interface Half {
  /** the square of how far its edge is, and the share of its area up to a direction */
  readonly edge: Float64Array;
  readonly swept: Float64Array;
}

function halfRound(): Half {
  const edge = new Float64Array(AROUND + 1);
  const swept = new Float64Array(AROUND + 1);
  const far = (turn: number): number => {
    const c = Math.cos(turn);
    const arc = -MIDDLE * c + Math.sqrt(MIDDLE * MIDDLE * c * c + 1 - MIDDLE * MIDDLE);
    const straight = c < 0 ? -MIDDLE / c : Infinity;
    return Math.min(arc, straight);
  };
  // each step is summed in finer ones, as the edge has corners
  const FINER = 16;
  for (let k = 0; k <= AROUND; k++) edge[k] = far((2 * Math.PI * k) / AROUND) ** 2;
  for (let k = 0; k < AROUND; k++) {
    let sum = 0;
    for (let n = 0; n < FINER; n++) sum += far((2 * Math.PI * (k + (n + 0.5) / FINER)) / AROUND) ** 2;
    swept[k + 1] = (swept[k] as number) + sum / FINER;
  }
  const whole = swept[AROUND] as number;
  for (let k = 0; k <= AROUND; k++) swept[k] = (swept[k] as number) / whole;
  return { edge, swept };
}
const HALF = halfRound();

/**
 * From the half round with x ≥ 0 of a disc of radius 1 to the whole round that was pressed to it, of radius 1 too: by
 * areas about the half's own middle. Leaves the square of how far out in `r` and the direction, radians, in `turn`.
 */
export function roundOfHalf(x: number, y: number): void {
  const [dx, r2] = [x - MIDDLE, (x - MIDDLE) * (x - MIDDLE) + y * y];
  let u = (Math.atan2(y, dx) * AROUND) / (2 * Math.PI);
  if (u < 0) u += AROUND;
  const k = Math.min(AROUND - 1, u | 0);
  const p = u - k;
  const { edge, swept } = HALF;
  const far = (edge[k] as number) + ((edge[k + 1] as number) - (edge[k] as number)) * p;
  at.r = Math.min(1, r2 / far);
  at.turn = 2 * Math.PI * ((swept[k] as number) + ((swept[k + 1] as number) - (swept[k] as number)) * p);
}
