import { beyond, reachOf } from './direction.js';
import { harmonicsOf, nestedIn, widthsHold, type Harmonics, type Nested } from './nested.js';
import { areaOf, extentOf, scaled, type Outline, type Point } from '#core/outline';

/** How finely a press is worked out. */
export interface Fineness {
  /** around the centre, a power of two */
  readonly angles: number;
  /** from the centre to the edge */
  readonly levels: number;
  /** of the table that is looked into, along its longer side */
  readonly cells: number;
}
/** A face that is looked at by itself. */
export const WHOLE_FACE: Fineness = { angles: 1024, levels: 48, cells: 128 };
/** One of many rods in a face. */
export const ONE_OF_MANY: Fineness = { angles: 256, levels: 24, cells: 48 };

/**
 * Where what is seen after a press lay before it, on a square grid over the face. Between its nodes the points are
 * weights of quadratic splines, so that the slopes of the map go on across them.
 */
export interface BackTable {
  readonly columns: number;
  readonly rows: number;
  /** of the first node, mm */
  readonly left: number;
  readonly bottom: number;
  /** nodes by mm */
  readonly by: number;
  /** row after row from below, x and y after each other, mm */
  readonly points: Float64Array;
}

/** How a press is carried back: the face made as wide as it is high, the table, and what was made even before it. */
export interface Press {
  readonly evenX: number;
  readonly evenY: number;
  readonly fx: number;
  readonly fy: number;
  readonly outline: Outline;
  /** null where only the squeeze is left; worked out when it is asked for first */
  readonly back: () => BackTable | null;
}

/** How fast corners get round towards the middle: with as little stretch as possible, without creases. */
const BLUR = 0.2;
/** Below this, corners stay as they are: nothing else keeps the rings of so ragged an edge open. */
const LEAST_BLUR = 0.01;

function blurFor(edges: readonly Harmonics[]): number {
  let blur = BLUR;
  while (blur > LEAST_BLUR && !edges.every((edge) => widthsHold(edge, blur))) blur /= 2;
  return blur > LEAST_BLUR ? blur : 0;
}

/** A place in a table by angles: the step before it, and how far on to the next. */
interface Angle {
  readonly step: number;
  readonly on: number;
}

/** @param turns any number of them @param angles of the tables */
function angleOf(turns: number, angles: number): Angle {
  const steps = (turns - Math.floor(turns)) * angles;
  // a hair below a whole turn rounds to it
  const step = Math.min(angles - 1, Math.floor(steps));
  return { step, on: steps - step };
}

function valueAt(table: Float64Array, { step, on }: Angle): number {
  const a = table[step] as number;
  return a + ((table[step + 1] as number) - a) * on;
}

/** A place between two levels: the lower one, and how far on to the next. */
interface Depth {
  readonly level: number;
  readonly on: number;
}

/** Between two levels of tables by angles. */
function valueIn(tables: readonly Float64Array[], { level, on }: Depth, at: Angle): number {
  const a = valueAt(tables[level] as Float64Array, at);
  return a + (valueAt(tables[level + 1] as Float64Array, at) - a) * on;
}

/** @param r mm from the centre */
function depthOf({ squares }: Nested, r: number, at: Angle): Depth {
  const last = squares.length - 1;
  // in squares of levels: r² = t² h
  const wanted = (r * last) ** 2;
  const far = (j: number): number => j * j * valueAt(squares[j] as Float64Array, at);
  let level = Math.min(last - 1, (last * Math.sqrt(wanted / far(last))) | 0);
  while (level > 0 && far(level) > wanted) level--;
  while (level < last - 1 && far(level + 1) <= wanted) level++;
  const [a, b] = [Math.sqrt(far(level)), Math.sqrt(far(level + 1))];
  return { level, on: Math.min(1, (r * last - a) / (b - a)) };
}

/** The angle of what lies at a place of the disc. */
function angleAt({ places, angles }: Nested, { level, on }: Depth, wanted: number): Angle {
  const [one, two] = [places[level] as Float64Array, places[level + 1] as Float64Array];
  const value = (i: number): number => (one[i] as number) + ((two[i] as number) - (one[i] as number)) * on;
  const turns = wanted - Math.floor(wanted - value(0));
  let [low, high] = [0, angles];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (value(middle) <= turns) low = middle;
    else high = middle;
  }
  const a = value(low);
  return { step: low, on: (turns - a) / (value(high) - a) };
}

/** Both sides of a press. */
interface Sides {
  readonly from: Nested;
  readonly to: Nested;
  /** table of `reachOf` of what it is pressed to */
  readonly gauge: Float64Array;
  /** of the disc between the two, in turns */
  readonly turned: number;
}

/** Where a point within the face lay before the press. */
function withinBefore({ from, to, turned }: Sides, x: number, y: number): Point {
  const at = angleOf(Math.atan2(y, x) / (2 * Math.PI), to.angles);
  const depth = depthOf(to, Math.hypot(x, y), at);
  const before = angleAt(from, depth, valueIn(to.places, depth, at) - turned);
  const t = (depth.level + depth.on) / (from.squares.length - 1);
  const r = t * Math.sqrt(valueIn(from.squares, depth, before));
  const angle = (2 * Math.PI * (before.step + before.on)) / from.angles;
  return [r * Math.cos(angle), r * Math.sin(angle)];
}

/** Nobody asks for what lies far outside. */
const FAR: Point = [0, 0];

/** The same beyond the edge, where there is no clay: as the way there from within goes on; `near` it in mm. */
function pointBefore(sides: Sides, x: number, y: number, near: number): Point {
  const u = beyond(sides.gauge, x, y);
  if (u <= 1) return withinBefore(sides, x, y);
  if ((u - 1) * Math.hypot(x, y) > near * u) return FAR;
  const edge = withinBefore(sides, x / u, y / u);
  const back = Math.max(0, 2 - u) / u;
  const inner = withinBefore(sides, x * back, y * back);
  return [2 * edge[0] - inner[0], 2 * edge[1] - inner[1]];
}

/** Nodes around the face that a spline at its edge still asks for. */
const MARGIN = 2;
/** Nodes that they are made from, further out along a ray. */
const NEAR = 6;

/** Values at nodes turned into weights of quadratic splines that go through them. */
function asWeights(values: Float64Array, columns: number, rows: number): Float64Array {
  const weights = Float64Array.from(values);
  const row = 2 * columns;
  for (let j = 1; j < rows - 1; j++)
    for (let i = 2; i < row - 2; i++) {
      const at = j * row + i;
      const sum =
        (values[at - 2] as number) +
        (values[at + 2] as number) +
        (values[at - row] as number) +
        (values[at + row] as number);
      weights[at] = (values[at] as number) - (sum - 4 * (values[at] as number)) / 8;
    }
  return weights;
}

/** @param turn from what lay at the right to where it ends, at the edge, in turns */
function sidesOf(before: Float64Array, gauge: Float64Array, turn: number, { angles, levels }: Fineness): Sides {
  const edges = [harmonicsOf(before, angles), harmonicsOf(gauge, angles)] as const;
  const blur = blurFor(edges);
  const [from, to] = [nestedIn(edges[0], levels, blur), nestedIn(edges[1], levels, blur)];
  const turned =
    valueAt(to.places[levels] as Float64Array, angleOf(turn, angles)) -
    valueAt(from.places[levels] as Float64Array, angleOf(0, angles));
  return { from, to, gauge, turned };
}

function tableOf(sides: Sides, outline: Outline, cells: number): BackTable {
  const { left, bottom, width, height } = extentOf(outline);
  const by = cells / Math.max(width, height);
  const [columns, rows] = [Math.ceil(width * by) + 1 + 2 * MARGIN, Math.ceil(height * by) + 1 + 2 * MARGIN];
  const first = { left: left - MARGIN / by, bottom: bottom - MARGIN / by };
  const points = new Float64Array(2 * columns * rows);
  for (let j = 0; j < rows; j++)
    for (let i = 0; i < columns; i++) {
      const [x, y] = pointBefore(sides, first.left + i / by, first.bottom + j / by, NEAR / by);
      points[2 * (j * columns + i)] = x;
      points[2 * (j * columns + i) + 1] = y;
    }
  return { columns, rows, ...first, by, points: asWeights(points, columns, rows) };
}

/** Whether two edges are one to a hair. */
const same = (one: Float64Array, two: Float64Array): boolean =>
  one.every((reach, k) => Math.abs(reach - (two[k] as number)) <= 1e-9 * reach);

/** What makes an outline as wide as it is high, at the same area: so many times wider, and as much less high. */
function evenly(outline: Outline): number {
  const { width, height } = extentOf(outline);
  return Math.sqrt(height / width);
}

/**
 * Pressing a face to another shape at equal area: before and after are seen as wide as they are high, and clay goes
 * from each edge nested in the one to that nested in the other. Where both are one then, only a squeeze is left.
 * @param shape of any size @param turn degrees from what lay at the right to where it ends
 * @throws Complaint `cane/star`
 */
export function pressOf(before: Outline, shape: Outline, turn: number, fine = WHOLE_FACE): Press {
  const factor = Math.sqrt(areaOf(before) / areaOf(shape));
  const outline = scaled(shape, factor);
  const [one, two] = [evenly(before), evenly(outline)];
  const even = scaled(outline, two, 1 / two);
  const [from, to] = [reachOf(scaled(before, one, 1 / one)), reachOf(even)];
  const squeezeOnly = turn === 0 && same(from, to);
  const radians = (turn * Math.PI) / 180;
  const turned = Math.atan2(Math.sin(radians) / two, Math.cos(radians) * two) / (2 * Math.PI);
  let table: BackTable | undefined;
  const back = (): BackTable | null => {
    if (squeezeOnly) return null;
    table ??= tableOf(sidesOf(from, to, turned, fine), even, fine.cells);
    return table;
  };
  return { outline, evenX: two, evenY: 1 / two, fx: 1 / one, fy: one, back };
}
