import { complaint } from '#core/units';
import { areaOf, clipped, signedArea, centroid, type Outline, type Point } from './outline.js';

const TIGHT = 0.004;
const ROUNDS = 160;

/** One cell of a bundle: its corners. */
export type Cell = readonly Point[];

/**
 * The power diagram of the sites within an outline, which is taken to be
 * convex: each cell the outline cut by the radical line with every other.
 */
function powerCells(sites: readonly Point[], weights: readonly number[], outline: Outline): Cell[] {
  return sites.map(([x, y], i) => {
    let cell: readonly Point[] = outline.points;
    for (let j = 0; j < sites.length && cell.length > 0; j++) {
      if (j === i) continue;
      const [u, v] = sites[j] as Point;
      const [a, b] = [2 * (u - x), 2 * (v - y)];
      const c = u * u + v * v - x * x - y * y - (weights[j] as number) + (weights[i] as number);
      // only lines that reach the cell cut it
      if (cell.every((p) => a * p[0] + b * p[1] <= c)) continue;
      cell = clipped(cell, a, b, c);
    }
    return cell;
  });
}

/**
 * Rods squeezed together without gaps: a power diagram whose cells have the
 * areas of the rods (capacity-constrained; F. Aurenhammer, F. Hoffmann and
 * B. Aronov, 1998), its sites moved to the middle of their cells now and
 * then so that the cells stay round (S. P. Lloyd, 1982).
 * @param areas mm², summing to the area of the outline
 * @param places where the rods lie before; as many
 * @returns a cell each, its area within 1 % @throws Complaint `cane/cells`
 */
export function bundleCells(outline: Outline, areas: readonly number[], places: readonly Point[]): Cell[] {
  const sum = areas.reduce((a, b) => a + b, 0);
  const wanted = areas.map((a) => (a * areaOf(outline)) / sum);
  let sites = places.map((p): Point => [...p]);
  let weights = wanted.map((a) => a / Math.PI);
  let cells: Cell[] = [];
  for (let round = 0; round < ROUNDS; round++) {
    cells = powerCells(sites, weights, outline);
    const got = cells.map((c) => (c.length < 3 ? 0 : signedArea(c)));
    const worst = Math.max(...got.map((a, i) => Math.abs(a / (wanted[i] as number) - 1)));
    const settling = round < ROUNDS * 0.35;
    if (worst < TIGHT && !settling) return cells;
    if (settling) {
      sites = sites.map((s, i): Point => {
        const cell = cells[i] as Cell;
        return cell.length < 3 ? s : centroid(cell);
      });
    }
    // a cell grows with its weight by about its edge over twice the distance to its neighbours: near π for round ones
    const mean = sum / areas.length;
    weights = weights.map((w, i) => w + ((wanted[i] as number) - (got[i] as number)) * (settling ? 0.35 : 0.28));
    const least = Math.min(...weights);
    if (least < -8 * mean) weights = weights.map((w) => w - least);
  }
  const left = cells.map((c) => (c.length < 3 ? 0 : signedArea(c)));
  if (left.some((a, i) => Math.abs(a / (wanted[i] as number) - 1) > 0.01)) throw complaint('cane/cells');
  return cells;
}

/** Places for n rods that fill a circle evenly (H. Vogel, 1979), of radius 1. */
export const sunflower = (count: number): Point[] => Array.from({ length: count }, (_, i): Point => {
  const [r, angle] = [Math.sqrt((i + 0.5) / count), i * Math.PI * (3 - Math.sqrt(5))];
  return [r * Math.cos(angle), r * Math.sin(angle)];
});
