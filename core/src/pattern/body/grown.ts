import {
  areaOf,
  beyond,
  bundleCells,
  extentOf,
  powerCells,
  reachOf,
  signedArea,
  type Cell,
  type Outline,
  type Point,
} from '#core/cane';
import { centroid } from '#core/outline';
import { attempt } from '#core/units';

/** A slice as large as it gets, where it lies: its outline about that place. */
export interface Lying {
  readonly x: number;
  readonly y: number;
  readonly outline: Outline;
}

/** Directions that an edge is looked at in. */
const AROUND = 512;
const SINE = Math.sin((2 * Math.PI) / AROUND);
const DIRECTIONS = Array.from({ length: AROUND }, (_, i): Point => {
  const angle = (2 * Math.PI * i) / AROUND;
  return [Math.cos(angle), Math.sin(angle)];
});

/** mm from the middle to the edge, direction by direction. @throws Complaint `cane/star` */
function edgeOf(outline: Outline): Float64Array {
  const reach = reachOf(outline);
  return Float64Array.from(DIRECTIONS, ([c, s]) => 1 / beyond(reach, c, s));
}

function areaWithin(edge: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < AROUND; i++) sum += (edge[i] as number) * (edge[(i + 1) % AROUND] as number);
  return (sum * SINE) / 2;
}

/** An edge so many times as large, but no further than there is room. */
const bounded = (edge: Float64Array, times: number, room: Float64Array): Float64Array =>
  edge.map((r, i) => Math.min(r * times, room[i] as number));

/** How far a slice may go on growing where there is room, while its neighbours hold it elsewhere; halvings. */
const [FARTHEST, HALVINGS] = [40, 40];

/**
 * A slice between its neighbours: it grows as it would alone until it meets them, and there goes on where there is
 * room, until it is as large as its clay makes it.
 * @param hair share of its area that may be missing @returns null where there is not as much room
 */
function grownIn({ outline }: Lying, cell: Outline, hair = 0): Outline | null {
  const own = edgeOf(outline);
  const room = attempt(
    () => edgeOf(cell),
    () => null,
  );
  if (!room) return null;
  if (own.every((r, i) => r <= (room[i] as number) * (1 + 1e-9))) return outline;
  // of what is as large as its room a hair is left out
  const wanted = areaOf(outline) * (1 - hair);
  if (areaWithin(bounded(own, FARTHEST, room)) < wanted) return null;
  let [low, high] = [1, FARTHEST];
  for (let n = 0; n < HALVINGS; n++) {
    const middle = (low + high) / 2;
    if (areaWithin(bounded(own, middle, room)) < wanted) low = middle;
    else high = middle;
  }
  const edge = bounded(own, high, room);
  return {
    round: false,
    points: DIRECTIONS.map(([c, s], i): Point => [c * (edge[i] as number), s * (edge[i] as number)]),
  };
}

/** A cell about the place of its slice. */
const about = (cell: Cell, { x, y }: Lying): Outline => ({
  round: false,
  points: cell.map(([u, v]): Point => [u - x, v - y]),
});

/** All of them between each other; null where one has no room. */
function between(sheet: Outline, lying: readonly Lying[]): readonly Outline[] | null {
  const sites = lying.map(({ x, y }): Point => [x, y]);
  const cells = powerCells(
    sheet,
    sites,
    lying.map(({ outline }) => areaOf(outline) / Math.PI),
  );
  const grown: Outline[] = [];
  for (const [i, one] of lying.entries()) {
    const cell = about(cells[i] ?? [], one);
    const outline = cell.points.length < 3 || signedArea(cell.points) <= 0 ? null : grownIn(one, cell);
    if (!outline) return null;
    grown.push(outline);
  }
  return grown;
}

/** Times that slices push each other aside, and after how many of them it is looked whether all have room. */
const [PUSHES, LOOKS] = [240, 6];

/** Those that lie on each other push each other aside, within the sheet. */
function pushedAside(sheet: Outline, lying: readonly Lying[]): readonly Lying[] {
  const { width, height } = extentOf(sheet);
  const radii = lying.map(({ outline }) => Math.sqrt(areaOf(outline) / Math.PI));
  const [x, y] = [lying.map((l) => l.x), lying.map((l) => l.y)];
  for (let i = 0; i < lying.length; i++)
    for (let j = 0; j < i; j++) {
      const [dx, dy] = [(x[i] as number) - (x[j] as number), (y[i] as number) - (y[j] as number)];
      const apart = Math.hypot(dx, dy);
      const near = (radii[i] as number) + (radii[j] as number) - apart;
      if (near <= 0) continue;
      const by = near / 4 / Math.max(1e-9, apart);
      x[i] = (x[i] as number) + dx * by;
      y[i] = (y[i] as number) + dy * by;
      x[j] = (x[j] as number) - dx * by;
      y[j] = (y[j] as number) - dy * by;
    }
  const held = (mm: number, half: number): number => Math.max(-Math.max(0, half), Math.min(Math.max(0, half), mm));
  return lying.map(({ outline }, i) => ({
    outline,
    x: held(x[i] as number, width / 2 - (radii[i] as number)),
    y: held(y[i] as number, height / 2 - (radii[i] as number)),
  }));
}

/**
 * Slices rolled into a sheet: each as large as its clay makes it, none on another. Where they have no room they push
 * each other aside.
 * @param sheet convex, about its middle, as it is after rolling
 * @returns where each lies then, with its outline there; null where there is no room for all
 */
export function grownTogether(sheet: Outline, lying: readonly Lying[]): readonly Lying[] | null {
  let now = lying;
  for (let push = 0; push <= PUSHES; push++) {
    const grown = push % LOOKS === 0 ? between(sheet, now) : null;
    if (grown) return now.map(({ x, y }, i) => ({ x, y, outline: grown[i] as Outline }));
    now = pushedAside(sheet, now);
  }
  return packed(sheet, lying);
}

/** A hair that areas may be off by where a sheet is covered all over. */
const COVERED = 1e-3;

/** Where a sheet is nearly covered they lie as rods in a bundle do, each in a cell that holds it. */
function packed(sheet: Outline, lying: readonly Lying[]): readonly Lying[] | null {
  const areas = lying.map(({ outline }) => areaOf(outline));
  const rest = areaOf(sheet) - areas.reduce((sum, area) => sum + area, 0);
  if (rest < -COVERED * areaOf(sheet)) return null;
  const room = areas.map((area) => area + Math.max(0, rest) / areas.length);
  const cells = attempt(
    () =>
      bundleCells(
        sheet,
        room,
        lying.map(({ x, y }): Point => [x, y]),
      ),
    () => null,
  );
  const placed = cells?.map((cell, i): Lying | null => {
    const [x, y] = centroid(cell);
    const one = { ...(lying[i] as Lying), x, y };
    const outline = grownIn(one, about(cell, one), COVERED);
    return outline && { x, y, outline };
  });
  return placed?.every((one) => one !== null) === true ? (placed as readonly Lying[]) : null;
}
