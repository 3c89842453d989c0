import { beyond, reachOf } from './direction.js';
import { areaOf, centroid, signedArea, type Outline, type Point } from '#core/outline';
import { complaint } from './sentences.js';

/** Share of its area by which a cell may be off at last. */
const TIGHT = 1e-4;
/** Times that the sites move to the middle of their cells. */
const MOVES = 12;
const ROUNDS = 90;
/** How far out towards the edge a rod may lie at first. */
const INSIDE = 0.95;

/** One cell of a bundle: its corners. */
export type Cell = readonly Point[];

/** A cell while it is cut: its corners, and beyond which site the edge after each lies; -1 for the outline. */
interface Corners {
  x: Float64Array;
  y: Float64Array;
  after: Int32Array;
  count: number;
}
const roomFor = (count: number): Corners => ({
  x: new Float64Array(count),
  y: new Float64Array(count),
  after: new Int32Array(count),
  count: 0,
});

/** Copies what lies where a·x + b·y ≤ c; false, and nothing copied, where that is all of it. */
function cut(from: Corners, to: Corners, a: number, b: number, c: number, site: number): boolean {
  let off = false;
  for (let k = 0; k < from.count && !off; k++) off = a * (from.x[k] as number) + b * (from.y[k] as number) > c;
  if (!off) return false;
  let kept = 0;
  const put = (x: number, y: number, after: number): void => {
    to.x[kept] = x;
    to.y[kept] = y;
    to.after[kept] = after;
    kept++;
  };
  const last = from.count - 1;
  let px = from.x[last] as number;
  let py = from.y[last] as number;
  let edge = from.after[last] as number;
  let before = a * px + b * py - c;
  for (let k = 0; k < from.count; k++) {
    const x = from.x[k] as number;
    const y = from.y[k] as number;
    const now = a * x + b * y - c;
    if (before <= 0 !== now <= 0) {
      const t = before / (before - now);
      put(px + (x - px) * t, py + (y - py) * t, now > 0 ? site : edge);
    }
    edge = from.after[k] as number;
    if (now <= 0) put(x, y, edge);
    px = x;
    py = y;
    before = now;
  }
  to.count = kept;
  return true;
}

/** Two neighbours, and by how much the area of each grows with its own weight and shrinks with the other's. */
interface Border {
  readonly one: number;
  readonly other: number;
  readonly rate: number;
}
interface Diagram {
  readonly cells: readonly Cell[];
  readonly areas: readonly number[];
  readonly borders: readonly Border[];
}

/**
 * The power diagram of the sites within an outline, which is taken to be
 * convex: each cell the outline cut by the radical line with every other.
 * @param touching the sites beside each cell as they were last time, asked
 * first: after them a cell is small, and most others are seen to be too far
 * off. Written anew
 */
function powerDiagram(
  sites: readonly Point[],
  weights: readonly number[],
  outline: Outline,
  touching: number[][],
): Diagram {
  const room = outline.points.length + sites.length + 2;
  let [cell, next] = [roomFor(room), roomFor(room)];
  const borders: Border[] = [];
  const cells = sites.map(([x, y], i): Cell => {
    cell.count = outline.points.length;
    outline.points.forEach((p, k) => {
      cell.x[k] = p[0];
      cell.y[k] = p[1];
      cell.after[k] = -1;
    });
    const w = weights[i] as number;
    let reach = Infinity;
    const against = (j: number): void => {
      if (j === i || cell.count < 3) return;
      const site = sites[j] as Point;
      const dx = site[0] - x;
      const dy = site[1] - y;
      const square = dx * dx + dy * dy;
      const off = square + w - (weights[j] as number);
      // the line lies at off / 2d from the site
      if (off > 0 && off * off > 4 * square * reach) return;
      if (!cut(cell, next, 2 * dx, 2 * dy, off + 2 * (dx * x + dy * y), j)) return;
      [cell, next] = [next, cell];
      reach = 0;
      for (let k = 0; k < cell.count; k++)
        reach = Math.max(reach, ((cell.x[k] as number) - x) ** 2 + ((cell.y[k] as number) - y) ** 2);
    };
    touching[i]?.forEach(against);
    for (let j = 0; j < sites.length; j++) against(j);
    const beside: number[] = [];
    const points: Point[] = [];
    for (let k = 0; k < cell.count; k++) {
      const m = (k + 1) % cell.count;
      const one: Point = [cell.x[k] as number, cell.y[k] as number];
      const length = Math.hypot((cell.x[m] as number) - one[0], (cell.y[m] as number) - one[1]);
      if (length < 1e-9) continue;
      points.push(one);
      const j = cell.after[k] as number;
      if (j < 0) continue;
      const site = sites[j] as Point;
      beside.push(j);
      if (j > i) borders.push({ one: i, other: j, rate: length / (2 * Math.hypot(site[0] - x, site[1] - y)) });
    }
    touching[i] = beside;
    return points;
  });
  return { cells, areas: cells.map((c) => (c.length < 3 ? 0 : signedArea(c))), borders };
}

/**
 * By how much the weights have to change for the areas to change by so much,
 * to the first order: the Laplacian of the borders, by conjugate gradients.
 */
function weightsFor(change: readonly number[], borders: readonly Border[]): number[] {
  const n = change.length;
  const own = new Array<number>(n).fill(1e-12);
  for (const { one, other, rate } of borders) {
    own[one] = (own[one] as number) + rate;
    own[other] = (own[other] as number) + rate;
  }
  const times = (v: readonly number[]): number[] => {
    const out = v.map((value, i) => value * (own[i] as number));
    for (const { one, other, rate } of borders) {
      out[one] = (out[one] as number) - rate * (v[other] as number);
      out[other] = (out[other] as number) - rate * (v[one] as number);
    }
    return out;
  };
  const dot = (a: readonly number[], b: readonly number[]): number =>
    a.reduce((sum, v, i) => sum + v * (b[i] as number), 0);
  const eased = (v: readonly number[]): number[] => v.map((value, i) => value / (own[i] as number));
  let result = change.map(() => 0);
  let rest = [...change];
  let along = eased(rest);
  let size = dot(rest, along);
  const enough = 1e-16 * size;
  for (let round = 0; round < 2 * n && size > enough; round++) {
    const through = times(along);
    const step = size / dot(along, through);
    result = result.map((v, i) => v + step * (along[i] as number));
    rest = rest.map((v, i) => v - step * (through[i] as number));
    const easedRest = eased(rest);
    const now = dot(rest, easedRest);
    along = easedRest.map((v, i) => v + (now / size) * (along[i] as number));
    size = now;
  }
  return result;
}

/**
 * Rods squeezed together without gaps: a power diagram whose cells have the
 * areas of the rods (capacity-constrained; F. Aurenhammer, F. Hoffmann and
 * B. Aronov, 1998), its weights by Newton steps that are shortened until no
 * cell vanishes (J. Kitagawa, Q. Mérigot and B. Thibert, 2019), its sites moved to the
 * middle of their cells now and then so that the cells stay round
 * (S. P. Lloyd, 1982).
 * @param areas mm², summing to the area of the outline
 * @param places where the rods lie before; as many, no two the same; those beyond the outline are taken in
 * @returns a cell each, its area within 0.01 % @throws Complaint `cane/cells`
 */
export function bundleCells(outline: Outline, areas: readonly number[], places: readonly Point[]): Cell[] {
  const factor = areaOf(outline) / areas.reduce((a, b) => a + b, 0);
  const wanted = areas.map((a) => a * factor);
  const touching: number[][] = [];
  const shares = ({ areas: got }: Diagram): number[] => got.map((a, i) => a / (wanted[i] as number));
  const reach = reachOf(outline);
  let sites = places.map(([x, y]): Point => {
    const k = Math.min(1, INSIDE / beyond(reach, x, y));
    return [x * k, y * k];
  });
  let weights = wanted.map(() => 0);
  let now = powerDiagram(sites, weights, outline, touching);
  for (let [round, moves] = [0, 0]; round < ROUNDS; round++) {
    const change = now.areas.map((a, i) => (wanted[i] as number) - a);
    const step = weightsFor(change, now.borders);
    const least = Math.min(1, ...shares(now)) / 2;
    for (let part = 1; part > 1e-4; part /= 2) {
      const tried = weights.map((w, i) => w + part * (step[i] as number));
      const then = powerDiagram(sites, tried, outline, touching);
      if (Math.min(...shares(then)) < least && part > 2e-4) continue;
      [weights, now] = [tried, then];
      break;
    }
    const off = Math.max(...shares(now).map((s) => Math.abs(s - 1)));
    if (off < TIGHT && moves === MOVES) return [...now.cells];
    if (moves < MOVES && off < 0.5) {
      moves++;
      sites = now.cells.map(centroid);
      now = powerDiagram(sites, weights, outline, touching);
      // a small rod beside large ones may lose all its clay by the move: begun anew from equal weights none does
      if (Math.min(...now.areas) <= 0) {
        weights = wanted.map(() => 0);
        now = powerDiagram(sites, weights, outline, touching);
      }
    }
  }
  throw complaint('cane/cells');
}

/**
 * What lies nearer to each site than to any other, where a site with a larger weight reaches further: the cells of the
 * power diagram within a convex outline.
 * @param weights mm², as squares of radii @returns none, an empty list, of a site that the others cover
 */
export const powerCells = (outline: Outline, sites: readonly Point[], weights: readonly number[]): readonly Cell[] =>
  powerDiagram(sites, weights, outline, []).cells;

/** Places for n rods that fill a circle evenly (H. Vogel, 1979), of radius 1. */
export const sunflower = (count: number): Point[] =>
  Array.from({ length: count }, (_, i): Point => {
    const [r, angle] = [Math.sqrt((i + 0.5) / count), i * Math.PI * (3 - Math.sqrt(5))];
    return [r * Math.cos(angle), r * Math.sin(angle)];
  });
