import type { Cutter } from '#core/cutter';
import { deltaE, labOfLinear, linearOfLab, type Lab } from '#core/colour';
import type { Pixels } from '#core/picture';
import type { Mm } from '#core/units';
import { below } from './below.js';
import type { Convex } from './convex.js';
import { gridOf, type Grid } from './grid.js';

/** A coloured shape of something that is laid. */
export interface Coloured {
  readonly points: Convex;
  readonly lab: Lab;
}

/** What a mosaic is held against: its bezel and picture, and the bed that shows between tesserae. */
export interface Seen {
  readonly bezel: Cutter;
  readonly picture: Pixels;
  readonly bed: Lab;
}

/** Cells of the longer side that both are looked at on, and about how many of them are compared. */
const [ACROSS, COMPARED] = [300, 6000];
/** A mean of so many neighbours, three times over, comes near to a Gaussian. */
const ROUNDS = 3;
/** What of a picture has to be seen, as a share of its side; what is finer is taken for its grain. An assumption. */
const SHARPEST = 1 / 48;
/** The share of a picture's differences that a mosaic has to keep to be read: an assumption. */
export const READS_FROM = 0.9;

/** Light as the eye runs it together: three channels blurred within the bezel. @param sigma mm */
function blurred(light: Float32Array, { inside, columns, rows, cell }: Grid, sigma: Mm): Float32Array {
  const reach = Math.round((sigma / cell) * Math.sqrt(12 / ROUNDS / 4));
  if (reach === 0) return light;
  let now = light;
  for (let round = 0; round < ROUNDS; round++)
    for (const [count, length, step, stride] of [
      [rows, columns, 1, columns],
      [columns, rows, columns, 1],
    ] as const)
      now = means(now, inside, { count, length, step, stride, reach });
  return now;
}

interface Lines {
  readonly count: number;
  readonly length: number;
  readonly step: number;
  readonly stride: number;
  readonly reach: number;
}

/** The mean of those inside to both sides, line by line. */
function means(light: Float32Array, inside: Uint8Array, { count, length, step, stride, reach }: Lines): Float32Array {
  const result = new Float32Array(light.length);
  const sums: [number, number, number] = [0, 0, 0];
  for (let line = 0; line < count; line++) {
    sums.fill(0);
    let n = 0;
    const add = (k: number, by: number): void => {
      const at = line * stride + k * step;
      if (k < 0 || k >= length || inside[at] === 0) return;
      n += by;
      for (let c = 0; c < 3; c++) sums[c] = (sums[c] as number) + by * (light[3 * at + c] as number);
    };
    for (let k = 0; k < reach; k++) add(k, 1);
    for (let k = 0; k < length; k++) {
      add(k + reach, 1);
      add(k - reach - 1, -1);
      const at = line * stride + k * step;
      for (let c = 0; c < 3; c++) result[3 * at + c] = n > 0 ? (sums[c] as number) / n : 0;
    }
  }
  return result;
}

/** Shapes painted on a grid: the bed where none lies. */
function painted(grid: Grid, shapes: readonly Coloured[], bed: Lab): Float32Array {
  const light = new Float32Array(grid.light.length);
  const ground = linearOfLab(bed);
  for (let at = 0; at < grid.inside.length; at++) light.set(ground, 3 * at);
  for (const { points, lab } of shapes) {
    const own = linearOfLab(lab);
    below(grid, points, (at) => {
      light.set(own, 3 * at);
    });
  }
  return light;
}

const labIn = (light: Float32Array, at: number): Lab =>
  labOfLinear([light[3 * at] ?? 0, light[3 * at + 1] ?? 0, light[3 * at + 2] ?? 0]);

/** Cells inside the bezel that are compared, evenly spread. */
function compared({ inside }: Grid): readonly number[] {
  const all = [...inside.keys()].filter((at) => inside[at] === 1);
  const apart = Math.max(1, Math.floor(all.length / COMPARED));
  return all.filter((_, k) => k % apart === 0);
}

const gridFor = ({ bezel, picture }: Seen): Grid =>
  gridOf(bezel, picture, Math.max(bezel.width, bezel.height) / ACROSS);

/** The middle ΔE00 between what is laid and the picture, both blurred. @param sigma mm: of the blur */
export function offPicture(seen: Seen, shapes: readonly Coloured[], sigma: Mm): number {
  const grid = gridFor(seen);
  const [one, other] = [blurred(painted(grid, shapes, seen.bed), grid, sigma), blurred(grid.light, grid, sigma)];
  const off = compared(grid).map((at) => deltaE(labIn(one, at), labIn(other, at)));
  return off.sort((a, b) => a - b)[Math.floor(off.length / 2)] ?? 0;
}

/**
 * How well what is laid can be read from so far that the eye runs `sigma` together: the share of the picture's
 * differences (CIELAB) that it keeps, at most 1. What is finer than a picture has to be seen is run together in both.
 */
export function readAs(seen: Seen, shapes: readonly Coloured[], sigma: Mm): number {
  const grid = gridFor(seen);
  const wide = Math.max(sigma, SHARPEST * Math.max(seen.bezel.width, seen.bezel.height));
  const one = blurred(painted(grid, shapes, seen.bed), grid, wide);
  const other = blurred(grid.light, grid, wide);
  const places = compared(grid).map((at) => [labIn(one, at), labIn(other, at)] as const);
  const mean = places.reduce(
    (sum, [, p]) => ({
      l: sum.l + p.l / places.length,
      a: sum.a + p.a / places.length,
      b: sum.b + p.b / places.length,
    }),
    { l: 0, a: 0, b: 0 },
  );
  const apart = (p: Lab, q: Lab): number => (p.l - q.l) ** 2 + (p.a - q.a) ** 2 + (p.b - q.b) ** 2;
  const [lost, whole] = places.reduce(([a, b], [seenAs, is]) => [a + apart(seenAs, is), b + apart(is, mean)], [0, 0]);
  return whole === 0 ? 1 : 1 - lost / whole;
}

/** Squares of one colour a cell, as many as come nearest to a number: what a mosaic is measured against. */
export function squaresOf({ bezel, picture }: Seen, count: number, shade: (lab: Lab) => Lab): readonly Coloured[] {
  const grid = gridFor({ bezel, picture, bed: { l: 0, a: 0, b: 0 } });
  const area = grid.inside.reduce((sum, one) => sum + one, 0) * grid.cell ** 2;
  const side = Math.sqrt(area / count);
  const squares: Coloured[] = [];
  for (let y = 0; y < bezel.height; y += side)
    for (let x = 0; x < bezel.width; x += side) {
      const points: Convex = [
        [x, y],
        [x + side, y],
        [x + side, y + side],
        [x, y + side],
      ];
      const sums: [number, number, number] = [0, 0, 0];
      let n = 0;
      below(grid, points, (at) => {
        if (grid.inside[at] === 0) return;
        n++;
        for (let c = 0; c < 3; c++) sums[c] = (sums[c] as number) + (grid.light[3 * at + c] as number);
      });
      if (n > 0) squares.push({ points, lab: shade(labOfLinear(sums.map((s) => s / n) as [number, number, number])) });
    }
  return squares;
}
