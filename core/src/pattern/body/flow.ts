/**
 * What a ball or a blade does to the clay around it: a flow without sources, as that of a stream function
 * `H = strength · Λ(a) · F(s)` over a coordinate `a` that counts area (the square of the distance of a ball's middle,
 * or the distance of a blade) and the height `s` (0 at the bottom, 1 at the top). Such a flow keeps area in (a, s), and
 * so volume. `Λ(a) = a (1 − a/A)⁴` ends at `A`: nothing is moved beyond, and what is pressed down in the middle rises
 * in a rim around it. A plain reckoning of ours, not a law of clay.
 */

/** Where nothing is moved any more, in units of the dent's or the cut's own width. */
export const ENDS = 4;

/** Λ′: the share of the height that is pressed down at `a`; 1 in the middle, below 0 in the rim. */
export function pressedAt(a: number): number {
  if (a >= ENDS) return 0;
  const rest = 1 - a / ENDS;
  return rest * rest * rest * (1 - (5 * a) / ENDS);
}
/** Λ: what is pressed out of the middle up to `a`. */
export function pressedOut(a: number): number {
  if (a >= ENDS) return 0;
  const rest = 1 - a / ENDS;
  return a * rest * rest * rest * rest;
}

/** How fast clay is pressed down at a height, and the slope of that. */
export interface Heights {
  readonly at: (s: number) => number;
  readonly slope: (s: number) => number;
}

/**
 * @param from share of the height that is at rest below
 * @param shut the top stays flat: its skin is held, and drawn in over what was pressed down, by `1 − s⁸`
 */
export function heightsOf(from: number, shut: boolean): Heights {
  const rise = (s: number): number => Math.max(0, (s - from) / (1 - from));
  const open: Heights =
    from <= 0
      ? { at: (s) => s, slope: () => 1 }
      : {
          // above the top, in rims, straight on
          at: (s) => (s <= 1 ? rise(s) * rise(s) : 2 * rise(s) - 1),
          slope: (s) => (2 * Math.min(1, rise(s))) / (1 - from),
        };
  if (!shut) return open;
  const held = (s: number): number => {
    const fourth = s * s * s * s;
    return 1 - fourth * fourth;
  };
  const heldSlope = (s: number): number => -8 * s * s * s * s * s * s * s;
  return { at: (s) => open.at(s) * held(s), slope: (s) => open.slope(s) * held(s) + open.at(s) * heldSlope(s) };
}

/** Steps of a table outwards and upwards, and steps of a way back. */
const [OUT, UP, STEPS] = [64, 72, 10];
/** Nodes in a column: one more at each end than there are steps, since a spline asks beyond. */
const COLUMN = UP + 3;

/** How high rims around what is open can rise, as a share of the height. */
export const RIMS = 1.75;

/**
 * Where what is seen after lay before: `a` over `a` after, and the height, as weights of quadratic splines over a grid,
 * so that the slopes of the map go on across it.
 */
export interface FlowTable {
  /** ratio of the places and the height before, one after the other; column by column from below */
  readonly values: Float32Array;
  /** the height of its upper edge: what is open rises in rims */
  readonly top: number;
}

/** The way back of one place: from (a, s) after to (a, s) before, by Runge's and Kutta's steps. */
function carriedBack(strength: number, heights: Heights, a: number, s: number): readonly [number, number] {
  const by = 1 / STEPS;
  // backwards in time: what was pressed down goes up
  const da = (u: number, v: number): number => -strength * pressedOut(u) * heights.slope(v);
  const ds = (u: number, v: number): number => strength * pressedAt(u) * heights.at(v);
  for (let n = 0; n < STEPS; n++) {
    const [a1, s1] = [da(a, s), ds(a, s)];
    const [a2, s2] = [da(a + (by / 2) * a1, s + (by / 2) * s1), ds(a + (by / 2) * a1, s + (by / 2) * s1)];
    const [a3, s3] = [da(a + (by / 2) * a2, s + (by / 2) * s2), ds(a + (by / 2) * a2, s + (by / 2) * s2)];
    const [a4, s4] = [da(a + by * a3, s + by * s3), ds(a + by * a3, s + by * s3)];
    a += (by / 6) * (a1 + 2 * a2 + 2 * a3 + a4);
    s += (by / 6) * (s1 + 2 * s2 + 2 * s3 + s4);
  }
  return [a, s];
}

const known = new Map<string, FlowTable>();
/** Tables that are kept: a bench has a few balls and a blade. */
const MOST_KNOWN = 64;

/** Places before at all nodes, those beyond the edges too. */
function nodesOf(strength: number, heights: Heights, top: number, rooted: boolean): Float64Array {
  const nodes = new Float64Array(2 * (OUT + 3) * COLUMN);
  for (let i = 0; i < OUT + 3; i++) {
    const share = (i - 1) / OUT;
    const even = ENDS * (rooted ? share * share : share);
    const a = Math.abs(even) < 1e-9 ? 1e-9 : even;
    for (let j = 0; j < COLUMN; j++) {
      const s = (top * (j - 1)) / UP;
      const [a0, s0] = a >= ENDS ? [a, s] : carriedBack(strength, heights, a, s);
      nodes[2 * (i * COLUMN + j)] = a0 / a;
      nodes[2 * (i * COLUMN + j) + 1] = s0;
    }
  }
  return nodes;
}

/** Values at nodes turned into weights of quadratic splines that go through them, but for those beyond the edges. */
function asWeights(nodes: Float64Array): Float32Array {
  const weights = Float32Array.from(nodes);
  const [up, out] = [2, 2 * COLUMN];
  for (let i = 1; i < OUT + 2; i++)
    for (let n = 2 * (i * COLUMN + 1); n < 2 * (i * COLUMN + COLUMN - 1); n++) {
      const value = nodes[n] as number;
      const around =
        (nodes[n - up] as number) + (nodes[n + up] as number) + (nodes[n - out] as number) + (nodes[n + out] as number);
      weights[n] = value - (around - 4 * value) / 8;
    }
  return weights;
}

/**
 * The table of a dent or a cut, worked out once.
 * @param strength how deep, as a share of the height @param from what is at rest below
 * @param rooted nodes even in √a: around a ball, not along a blade
 */
export function flowTable(strength: number, from: number, shut: boolean, rooted: boolean): FlowTable {
  const key = [strength.toFixed(3), from.toFixed(3), shut, rooted].join(' ');
  const before = known.get(key);
  if (before) return before;
  const top = shut ? 1 : RIMS;
  const nodes = nodesOf(strength, heightsOf(from, shut), top, rooted);
  const values = asWeights(nodes);
  const table = { values, top };
  if (known.size >= MOST_KNOWN) known.clear();
  known.set(key, table);
  return table;
}

/** What {@link lookedUp} found: `ratio` of a before to a after, and the height before. */
export const found = { ratio: 0.5, height: 0.5 };

/**
 * Looks a table up between its nodes; the answer is left in {@link found}, since it is asked for at each pixel.
 * @param share 0 in the middle, 1 where nothing is moved any more: even in what the table is even in
 */
export function lookedUp({ values, top }: FlowTable, share: number, s: number): void {
  const u = share * OUT;
  const up = (Math.min(top, Math.max(0, s)) / top) * UP;
  const i = (u + 0.5) | 0;
  const j = (up + 0.5) | 0;
  const [p, q] = [u - i, up - j];
  const [below, at, above] = [0.5 * (0.5 - q) * (0.5 - q), 0.75 - q * q, 0.5 * (0.5 + q) * (0.5 + q)];
  const [left, middle, right] = [0.5 * (0.5 - p) * (0.5 - p), 0.75 - p * p, 0.5 * (0.5 + p) * (0.5 + p)];
  // the middle one of three columns is the nearest; written out, as a loop takes longer
  const one = 2 * (i * COLUMN + j);
  const two = one + 2 * COLUMN;
  const three = two + 2 * COLUMN;
  const v = (n: number): number => values[n] as number;
  const ratio =
    left * (below * v(one) + at * v(one + 2) + above * v(one + 4)) +
    middle * (below * v(two) + at * v(two + 2) + above * v(two + 4)) +
    right * (below * v(three) + at * v(three + 2) + above * v(three + 4));
  const height =
    left * (below * v(one + 1) + at * v(one + 3) + above * v(one + 5)) +
    middle * (below * v(two + 1) + at * v(two + 3) + above * v(two + 5)) +
    right * (below * v(three + 1) + at * v(three + 3) + above * v(three + 5));
  found.ratio = ratio;
  found.height = height;
}
