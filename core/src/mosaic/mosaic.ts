import type { Cutter } from '#core/cutter';
import { labOfLinear, type Lab } from '#core/colour';
import { signedArea, type Point } from '#core/outline';
import { paletteOf, type Pixels } from '#core/picture';
import type { Mm, Mm2 } from '#core/units';
import { areasOf, nearestOf, type Areas } from './areas.js';
import { areaOfConvex, grown, roundOf, type Convex } from './convex.js';
import { below } from './below.js';
import { distanceWithin } from './distance.js';
import { keptInside } from './edge.js';
import { bezelEdge, gridOf, type Grid } from './grid.js';
import { Laid, type Lying } from './laid.js';
import { rowsAlong, type Box } from './rows.js';
import { complaint } from './sentences.js';
import { cutRow } from './tesserae.js';

/** What a mosaic is planned from. */
export interface MosaicWish {
  readonly bezel: Cutter;
  readonly picture: Pixels;
  /** colours that the picture is taken apart in */
  readonly colours: number;
  /** mm of the threads, largest first */
  readonly diameters: readonly Mm[];
  readonly shortest: Mm;
  readonly longest: Mm;
  /** between tesserae */
  readonly gap: Mm;
  /** the shades there are; left out: each tessera has the very colour below it */
  readonly shades?: readonly Lab[];
}

/** A tessera as it is laid. Corners in mm from the upper left corner of the bezel's box, y down. */
export interface Tessera {
  readonly points: Convex;
  /** number of its patch */
  readonly patch: number;
  readonly diameter: Mm;
  /** mm of thread */
  readonly length: Mm;
  /** of the picture below it */
  readonly lab: Lab;
  /** number of its shade; −1 where none were given */
  readonly shade: number;
}

/** A patch that is laid at a time, row by row. */
export interface Patch {
  readonly lab: Lab;
  readonly count: number;
}

export interface Mosaic {
  readonly tesserae: readonly Tessera[];
  /** in working order: what is lightest first, for dark clay leaves its traces on light; larger ones before smaller */
  readonly patches: readonly Patch[];
  /** mm² of the bezel */
  readonly area: Mm2;
  /** share of it that tesserae cover */
  readonly cover: number;
}

/** Cells across the thinnest thread, and on the whole grid at the most. */
const [ACROSS, MOST_CELLS] = [5, 1_500_000];
/** Threads of different thickness in one mosaic. */
export const MOST_DIAMETERS = 5;
/** So many tesserae are planned; more are laid by nobody in one piece. */
export const MOST_TESSERAE = 30_000;
/** A patch is at least so many tesserae, and edges are smoothed over so much of a thread. */
const [LEAST_PATCH, SMOOTHED] = [2, 0.3];
/** Tesserae are pressed wider by so much of their thread at the most: soft clay below them gives. An assumption. */
const PRESSED = 0.18;

/** Tesserae that are pressed in one go. */
const BREATH = 400;

interface Laying extends Lying {
  readonly patch: number;
  readonly diameter: Mm;
  readonly length: Mm;
}

/** @throws Complaint `mosaic/threads`, `mosaic/lengths`, `mosaic/many` */
function checkWish({ diameters, shortest, longest, gap, bezel }: MosaicWish): void {
  if (diameters.length === 0 || !diameters.every((d) => d >= 0.2 && d <= 10)) throw complaint('mosaic/threads');
  if (!(shortest >= 0.2 && longest >= shortest && longest <= 60)) throw complaint('mosaic/lengths');
  if (!(gap >= 0 && gap <= 2)) throw complaint('mosaic/gap');
  const thread = diameters.reduce((a, b) => a + b, 0) / diameters.length;
  const about = (bezel.width * bezel.height) / ((thread + gap) * ((shortest + longest) / 2 + gap));
  if (about > MOST_TESSERAE) throw complaint('mosaic/many', { about: Math.round(about), most: MOST_TESSERAE });
}

function cellFor({ bezel, diameters }: MosaicWish): Mm {
  const fine = Math.min(...diameters) / ACROSS;
  return Math.max(fine, Math.sqrt((bezel.width * bezel.height) / MOST_CELLS));
}

/** Where less of a patch than this share is open, chips fill it. */
const HARDLY_ANY = 0.05;

/** The part of a grid where a patch has room left, and how far each place is from its edge. */
interface Room {
  readonly box: Box;
  readonly far: Float64Array;
}

function roomOf(grid: Grid, areas: Areas, covered: Uint8Array, patch: number, box: Box): Room | null {
  const mask = new Uint8Array(box.columns * box.rows);
  let open = 0;
  for (let j = 0; j < box.rows; j++)
    for (let i = 0; i < box.columns; i++) {
      const at = (j + box.top) * grid.columns + i + box.left;
      if (areas.of[at] !== patch || covered[at] !== 0) continue;
      mask[j * box.columns + i] = 1;
      open++;
    }
  if (open < HARDLY_ANY * (areas.sizes[patch] ?? 0)) return null;
  const far = distanceWithin(mask, box.columns, box.rows);
  return { box, far: far.map((cells) => cells * grid.cell) };
}

/** Boxes of all patches. */
function boxesOf({ of, sizes }: Areas, columns: number): readonly Box[] {
  const ends = sizes.map(() => ({ left: Infinity, right: -1, top: Infinity, bottom: -1 }));
  of.forEach((patch, at) => {
    const own = ends[patch];
    if (!own) return;
    const [i, j] = [at % columns, Math.floor(at / columns)];
    own.left = Math.min(own.left, i);
    own.right = Math.max(own.right, i);
    own.top = Math.min(own.top, j);
    own.bottom = Math.max(own.bottom, j);
  });
  return ends.map(({ left, right, top, bottom }) => ({
    ...{ left, top, columns: right - left + 1, rows: bottom - top + 1 },
  }));
}

/** Keeps shapes inside the bezel; one whose circle lies well within it is not looked at closely. */
function insideOf({ columns, inside, cell }: Grid, edge: readonly Point[]): (points: Convex) => Convex {
  const kept = keptInside(edge, signedArea(edge));
  const there = (x: Mm, y: Mm): boolean =>
    x > 0 && x < columns * cell && inside[Math.floor(y / cell) * columns + Math.floor(x / cell)] === 1;
  return (points) => {
    const { x, y, radius } = roundOf(points);
    const around = AROUND.every(([u, v]) => there(x + u * radius, y + v * radius));
    return around ? points : kept(points);
  };
}
const AROUND = Array.from(
  { length: 12 },
  (_, k) => [Math.cos((k * Math.PI) / 6), Math.sin((k * Math.PI) / 6)] as const,
);

/** The picture below a tessera, its light mixed. */
function labBelow(grid: Grid, points: Convex): Lab {
  const sums: [number, number, number] = [0, 0, 0];
  let n = 0;
  below(grid, points, (at) => {
    n++;
    for (let c = 0; c < 3; c++) sums[c] = (sums[c] ?? 0) + (grid.light[3 * at + c] ?? 0);
  });
  return labOfLinear(sums.map((s) => s / Math.max(1, n)) as [number, number, number]);
}

/**
 * Plans a mosaic, a patch at a time; what it yields is the share that is done.
 * @throws Complaint `mosaic/threads`, `mosaic/lengths`, `mosaic/gap`, `mosaic/many`; as `paletteOf`
 */
export function* planMosaic(wish: MosaicWish): Generator<number, Mosaic> {
  checkWish(wish);
  const grid = gridOf(wish.bezel, wish.picture, cellFor(wish));
  const thick = Math.max(...wish.diameters);
  const colours = paletteOf(wish.picture, wish.colours).map((c) => c.lab);
  const least = LEAST_PATCH * Math.min(...wish.diameters) * wish.shortest;
  const areas = areasOf(grid, colours, least, SMOOTHED * thick);
  yield 0.15;
  const boxes = boxesOf(areas, grid.columns);
  const edge = bezelEdge(wish.bezel);
  const laid = new Laid<Laying>(Math.max(thick, wish.longest), wish.gap, insideOf(grid, edge));
  const covered = new Uint8Array(grid.inside.length);
  // the thickest first, then what is left with the thinner ones
  const passes = [...wish.diameters].sort((a, b) => b - a);
  for (const [p, diameter] of passes.entries())
    for (const [patch, box] of boxes.entries()) {
      const room = roomOf(grid, areas, covered, patch, box);
      if (room) layPatch(wish, grid, room, { patch, diameter }, laid);
      if (patch % 8 === 0) yield 0.15 + (0.75 * (p + patch / boxes.length)) / passes.length;
      if (patch === boxes.length - 1) cover(grid, laid.lying, covered, wish.gap / 2);
    }
  yield 0.9;
  fillHoles(wish, grid, areas, covered, laid);
  yield 0.95;
  for (const [k, one] of laid.lying.entries()) {
    laid.press(one, PRESSED * one.diameter);
    if (k % BREATH === BREATH - 1) yield 0.95 + (0.05 * k) / laid.lying.length;
  }
  return finished(wish, grid, areas, colours, laid.lying);
}

function layPatch(
  wish: MosaicWish,
  grid: Grid,
  { box, far }: Room,
  { patch, diameter }: Pick<Laying, 'patch' | 'diameter'>,
  laid: Laid<Laying>,
): void {
  const { shortest, longest, gap } = wish;
  for (const row of rowsAlong(grid, box, far, diameter, gap))
    for (const { points, length } of cutRow(row, { diameter, shortest, longest, gap }))
      laid.lay({ points, length, patch, diameter, whole: diameter * length });
}

/** A hole is filled where a chip in it is at least so wide, as a share of the thinnest thread. */
const LEAST_WIDE = 0.4;

/** Chips for the holes that rows leave where they meet: the widest place first, cut to what lies around it. */
function fillHoles(wish: MosaicWish, grid: Grid, areas: Areas, covered: Uint8Array, laid: Laid<Laying>): void {
  const open = grid.inside.map((inside, at) => (inside === 1 && covered[at] === 0 ? 1 : 0));
  const far = distanceWithin(open, grid.columns, grid.rows);
  const sizes = [...wish.diameters].sort((a, b) => a - b);
  const least = (LEAST_WIDE * (sizes[0] as Mm)) / 2 / grid.cell;
  const seeds = [...far.keys()].filter((at) => (far[at] as number) >= least);
  seeds.sort((a, b) => (far[b] as number) - (far[a] as number));
  const side = sizes.at(-1) as Mm;
  for (const at of seeds) {
    if (covered[at] === 1) continue;
    const seed: Point = [((at % grid.columns) + 0.5) * grid.cell, (Math.floor(at / grid.columns) + 0.5) * grid.cell];
    const points = squareAt(seed, side);
    const wide = 2 * (far[at] as number) * grid.cell;
    const diameter = sizes.find((d) => d >= wide) ?? side;
    const chip: Laying = { points, whole: 0, patch: areas.of[at] as number, diameter, length: side };
    if (laid.fill(chip, seed)) cover(grid, [chip], covered, wish.gap / 2);
  }
}

const squareAt = ([x, y]: Point, side: Mm): Convex => {
  const half = side / 2;
  return [
    [x - half, y - half],
    [x + half, y - half],
    [x + half, y + half],
    [x - half, y + half],
  ];
};

function cover(grid: Grid, lying: readonly Laying[], covered: Uint8Array, around: Mm): void {
  for (const { points } of lying)
    below(grid, grown(points, around), (at) => {
      covered[at] = 1;
    });
}

/** Numbers of patches in working order. */
function workingOrder({ sizes, colours }: Areas, labs: readonly Lab[]): readonly number[] {
  const light = (patch: number): number => labs[colours[patch] ?? 0]?.l ?? 0;
  return [...sizes.keys()].sort((a, b) => light(b) - light(a) || (sizes[b] ?? 0) - (sizes[a] ?? 0));
}

function finished(
  wish: MosaicWish,
  grid: Grid,
  areas: Areas,
  colours: readonly Lab[],
  lying: readonly Laying[],
): Mosaic {
  const order = workingOrder(areas, colours);
  const byPatch = new Map<number, Laying[]>();
  for (const one of lying) {
    const own = byPatch.get(one.patch) ?? [];
    own.push(one);
    byPatch.set(one.patch, own);
  }
  const used = order.filter((patch) => byPatch.has(patch));
  const { shades } = wish;
  const tesserae = used.flatMap((patch, number) =>
    (byPatch.get(patch) ?? []).map(({ points, diameter, length }): Tessera => {
      const lab = labBelow(grid, points);
      return { points, patch: number, diameter, length, lab, shade: shades ? nearestOf(lab, shades) : -1 };
    }),
  );
  const area = areaOfConvex(bezelEdge(wish.bezel));
  return {
    tesserae,
    patches: used.map((patch) => ({
      lab: colours[areas.colours[patch] ?? 0] as Lab,
      count: byPatch.get(patch)?.length ?? 0,
    })),
    area,
    cover: tesserae.reduce((sum, t) => sum + areaOfConvex(t.points), 0) / area,
  };
}

/** All of it at once. @throws Complaint as {@link planMosaic} */
export function mosaicOf(wish: MosaicWish): Mosaic {
  const planning = planMosaic(wish);
  let step = planning.next();
  while (step.done !== true) step = planning.next();
  return step.value;
}
