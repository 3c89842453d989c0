import type { Cutter } from '#core/cutter';
import { extentOf, type Point } from '#core/outline';
import type { Mm } from '#core/units';
import { lyingEdge, type CutPlace } from './place.js';
import { cellAt, meanAbout, type Raster } from './raster.js';

/** A place where a piece could be cut, and what it would show. */
export interface Candidate extends CutPlace {
  /** l, a, b at places of the piece, from its middle outwards: what is compared between pieces */
  readonly face: Float64Array;
  /** how far its colours lie from their mean, in Lab */
  readonly spread: number;
  /** share of it that is a hole */
  readonly hole: number;
}

/** Directions from the middle of a piece, and shares of the way to its edge. */
const [SECTORS, RINGS] = [8, [0.34, 0.62, 0.87]] as const;
/** Places at which holes and spread are looked at: rings, and places on each. */
const [FINE_RINGS, FINE_SECTORS] = [[0.2, 0.4, 0.58, 0.74, 0.88, 0.97], 24] as const;
/** The square that a place of a face is the mean of, as a share of the smaller side of the cutter, to each side. */
const ABOUT = 0.1;

/** How far it is from the middle of a closed line to the line, in a direction. */
function reachIn(line: readonly Point[], turn: number): Mm {
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  let far = 0;
  line.forEach((p, i) => {
    const q = line[(i + 1) % line.length] as Point;
    const [px, qx] = [p[0] * c + p[1] * s, q[0] * c + q[1] * s];
    const [py, qy] = [p[1] * c - p[0] * s, q[1] * c - q[0] * s];
    if (py > 0 === qy > 0) return;
    far = Math.max(far, px + (py / (py - qy)) * (qx - px));
  });
  return far;
}

/** Places on rings within a closed line about the origin. */
function ringPlaces(line: readonly Point[], rings: readonly number[], sectors: number): readonly Point[] {
  const reach = Array.from({ length: sectors }, (_, i) => reachIn(line, (2 * Math.PI * i) / sectors));
  return rings.flatMap((ring) =>
    reach.map((far, i): Point => {
      const turn = (2 * Math.PI * i) / sectors;
      return [ring * far * Math.cos(turn), ring * far * Math.sin(turn)];
    }),
  );
}

/** What is looked at of a cutter that lies in one way. */
export interface Lying {
  readonly degrees: number;
  readonly flip: boolean;
  readonly edge: readonly Point[];
  readonly box: { readonly left: Mm; readonly right: Mm; readonly bottom: Mm; readonly top: Mm };
  readonly places: readonly Point[];
  readonly fine: readonly Point[];
  readonly half: Mm;
}

/** Places of the cutter itself, as they lie: so that faces of turned pieces can be compared place by place. */
function lie(places: readonly Point[], degrees: number): readonly Point[] {
  const turn = (degrees * Math.PI) / 180;
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  return places.map(([x, y]): Point => [x * c - y * s, x * s + y * c]);
}

/** A cutter as it lies turned by so much. A flipped one is looked at in the mirror, so that twins look alike. */
export function lyingOf(cutter: Cutter, degrees: number, flip: boolean): Lying {
  const edge = lyingEdge(cutter, degrees, flip);
  const upright = lyingEdge(cutter, 0, false);
  const mirror = (places: readonly Point[]): readonly Point[] =>
    flip ? places.map(([x, y]): Point => [-x, y]) : places;
  const places: readonly Point[] = [[0, 0], ...ringPlaces(upright, RINGS, SECTORS)];
  return {
    degrees,
    flip,
    edge,
    box: extentOf({ points: edge, round: false }),
    places: lie(mirror(places), degrees),
    fine: lie(mirror(ringPlaces(upright, FINE_RINGS, FINE_SECTORS)), degrees),
    half: ABOUT * Math.min(cutter.width, cutter.height),
  };
}

/** Turns that are tried of a cutter: none of a round one, up to half a turn where the other half looks the same. */
const HALF_DO: readonly Cutter['shape'][] = ['oval', 'rectangle', 'leaf', 'hexagon'];
export function turnsOf({ shape }: Cutter): readonly number[] {
  if (shape === 'round') return [0];
  return HALF_DO.includes(shape) ? [0, 45, 90, 135] : [0, 45, 90, 135, 180, 225, 270, 315];
}

/** What a piece would show there. @param x mm from the lower left corner of its sheet */
export function candidateAt(raster: Raster, sheet: number, lying: Lying, x: Mm, y: Mm): Candidate {
  const { degrees, flip, places, fine, half } = lying;
  const face = new Float64Array(3 * places.length);
  const mean = new Float64Array(4);
  for (const [i, [dx, dy]] of places.entries()) {
    meanAbout(raster, x + dx, y + dy, half, mean, 0);
    face.set(mean.subarray(0, 3), 3 * i);
  }
  let hole = 0;
  const [sum, squares] = [new Float64Array(3), new Float64Array(3)];
  for (const [dx, dy] of fine) {
    meanAbout(raster, x + dx, y + dy, 0, mean, 0);
    hole += mean[3] as number;
    const cell = 3 * cellAt(raster, x + dx, y + dy);
    for (let k = 0; k < 3; k++) {
      const value = raster.cells[cell + k] as number;
      sum[k] = (sum[k] as number) + value;
      squares[k] = (squares[k] as number) + value * value;
    }
  }
  const n = fine.length;
  const variance = squares.reduce((all, square, k) => all + square / n - ((sum[k] as number) / n) ** 2, 0);
  return { sheet, x, y, degrees, flip, face, spread: Math.sqrt(Math.max(0, variance)), hole: hole / n };
}

/** How unlike two faces are: the root of the mean square of their differences in Lab. */
export function unlike(one: Candidate, other: Candidate, shift = 0): number {
  const [a, b] = [one.face, other.face];
  let sum = 0;
  for (let k = 0; k < 3; k++) sum += ((a[k] as number) - (b[k] as number)) ** 2;
  for (let ring = 0; ring < RINGS.length; ring++)
    for (let sector = 0; sector < SECTORS; sector++) {
      const [i, j] = [1 + ring * SECTORS + sector, 1 + ring * SECTORS + ((sector + shift) % SECTORS)];
      for (let k = 0; k < 3; k++) sum += ((a[3 * i + k] as number) - (b[3 * j + k] as number)) ** 2;
    }
  return Math.sqrt((3 * sum) / a.length);
}

/** Shifts of the sectors under which a piece of a shape is the same piece, turned. */
export function shiftsOf({ shape }: Cutter): readonly number[] {
  if (shape === 'round') return [0, 1, 2, 3, 4, 5, 6, 7];
  return HALF_DO.includes(shape) ? [0, 4] : [0];
}
