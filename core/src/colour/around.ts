import { BANDS, WEIGHTS, WHITE } from './bands.js';
import { MOST_LIGHTNESS_SCALE, ciede2000, lightnessScale } from './ciede2000.js';
import { EPSILON, KAPPA, rootOf, shareOf, type Lab } from './lab.js';

/**
 * Three linear forms of XYZ by which a search asks whether a colour is near
 * `target`: Y, and how far X and Z (each by the white) are from going along
 * with Y. Near the target they stand for L*, a* and b*.
 */
export interface Forms {
  readonly target: Lab;
  /** how X and Z grow with Y where a* and b* stay those of the target */
  readonly slopes: readonly [number, number];
  /** weights of the 36 bands for each form */
  readonly weights: readonly [Float64Array, Float64Array, Float64Array];
  /** the least ΔE00 in sectors of rings about the target, of colours as light as it */
  readonly least: Float64Array;
}

type Span = readonly [number, number];
/** From and to of each form: Y, the form of X, the form of Z. */
export type Region = readonly Span[];

const rise = (t: number): number => (t ** 3 > EPSILON ? 3 * t * t : 116 / KAPPA);

/** The forms of a target. */
export function formsOf(target: Lab): Forms {
  const fy = (target.l + 16) / 116;
  const slopes = [rise(fy + target.a / 500) / rise(fy), rise(fy - target.b / 200) / rise(fy)] as const;
  const x = new Float64Array(BANDS);
  const y = WEIGHTS.slice(BANDS, 2 * BANDS);
  const z = new Float64Array(BANDS);
  for (let band = 0; band < BANDS; band++) {
    const own = y[band] as number;
    x[band] = (WEIGHTS[band] as number) / WHITE.x - slopes[0] * own;
    z[band] = (WEIGHTS[2 * BANDS + band] as number) / WHITE.z - slopes[1] * own;
  }
  return { target, slopes, weights: [y, x, z], least: leastAround(target) };
}

const DIRECTIONS = 48;
/** Distances from the target in a* and b*: each so many times the one before. */
const STEP = 1.1;
const NEAREST = 0.05;
const FARTHEST = 150;
const RINGS = Math.ceil(Math.log(FARTHEST / NEAREST) / Math.log(STEP));
const distanceOf = (ring: number): number => (ring === 0 ? 0 : NEAREST * STEP ** ring);
/** A sector of a ring bulges beyond its corners by this. */
const BULGE = 1 / Math.cos(Math.PI / DIRECTIONS);

/**
 * The part of ΔE00 that chroma and hue make, from the target to points about
 * it: rows of directions by ring, as values that no colour between the points
 * is below. Lightness adds to it and takes nothing away.
 */
function leastAround(target: Lab): Float64Array {
  const points = new Float64Array((RINGS + 1) * DIRECTIONS);
  for (let ring = 0; ring <= RINGS; ring++) {
    for (let direction = 0; direction < DIRECTIONS; direction++) {
      const { a, b } = pointAt(target, ring, direction);
      points[ring * DIRECTIONS + direction] = ciede2000(50, target.a, target.b, 50, a, b);
    }
  }
  const least = new Float64Array(RINGS * DIRECTIONS);
  for (let ring = 0; ring < RINGS; ring++) {
    for (let direction = 0; direction < DIRECTIONS; direction++) {
      const here = ring * DIRECTIONS + direction;
      const beside = ring * DIRECTIONS + ((direction + 1) % DIRECTIONS);
      const p = points[here] as number;
      const q = points[beside] as number;
      const r = points[here + DIRECTIONS] as number;
      const s = points[beside + DIRECTIONS] as number;
      const low = Math.min(p, q, r, s);
      // as much below the lowest corner as half of what the corners differ by
      least[here] = low - (Math.max(p, q, r, s) - low) / 2;
    }
  }
  return least;
}

function pointAt(target: Lab, ring: number, direction: number): { readonly a: number; readonly b: number } {
  const angle = (2 * Math.PI * direction) / DIRECTIONS;
  const distance = distanceOf(ring);
  return { a: target.a + distance * Math.cos(angle), b: target.b + distance * Math.sin(angle) };
}

/** Least and most of a* and b* of the colours about the target that are nearer than `limit`. */
function reachOf({ target, least }: Forms, limit: number): { readonly a: Span; readonly b: Span } {
  let [a, b]: [Span, Span] = [
    [target.a, target.a],
    [target.b, target.b],
  ];
  least.forEach((value, place) => {
    if (value >= limit) return;
    const ring = Math.floor(place / DIRECTIONS) + 1;
    for (const direction of [place % DIRECTIONS, (place % DIRECTIONS) + 1]) {
      const point = pointAt(target, ring, direction);
      a = widened(a, target.a + (point.a - target.a) * BULGE);
      b = widened(b, target.b + (point.b - target.b) * BULGE);
    }
  });
  return { a, b };
}

const widened = ([low, high]: Span, value: number): Span => [Math.min(low, value), Math.max(high, value)];

/** Slices of Y in which the forms of X and Z are bounded. */
const SLICES = 16;

/**
 * A region that holds every colour nearer to the target of `forms` than `limit` in ΔE00: all there are, where the
 * rings do not reach so far.
 */
export function regionAround(forms: Forms, limit: number): Region {
  if (limit >= Math.min(...forms.least.subarray(-DIRECTIONS))) return [0, 1, 2].map(() => [-Infinity, Infinity]);
  const { target, slopes } = forms;
  const away = (MOST_LIGHTNESS_SCALE * limit) / 2;
  const scale = Math.max(...[-away, 0, away].map((d) => lightnessScale(target.l + d)));
  const { a, b } = reachOf(forms, limit);
  const from = shareOf((target.l - scale * limit + 16) / 116);
  const height = shareOf((target.l + scale * limit + 16) / 116) - from;
  // f(X) = f(Y) + a*/500 and f(Z) = f(Y) − b*/200, whose least and most are looked for in slices of Y
  const between = (slope: number, least: number, most: number): Span => {
    let [low, high] = [Infinity, -Infinity];
    for (let slice = 0; slice < SLICES; slice++) {
      const y = from + (height * slice) / SLICES;
      const next = from + (height * (slice + 1)) / SLICES;
      low = Math.min(low, shareOf(rootOf(y) + least) - slope * next);
      high = Math.max(high, shareOf(rootOf(next) + most) - slope * y);
    }
    return [low, high];
  };
  return [
    [from, from + height],
    between(slopes[0], a[0] / 500, a[1] / 500),
    between(slopes[1], -b[1] / 200, -b[0] / 200),
  ];
}
