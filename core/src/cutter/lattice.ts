import { extentOf, mirrored, turned, type Outline } from '#core/outline';
import type { Mm } from '#core/units';
import { cutterOutline, type Cutter } from './cutter.js';
import { apart, profileOf, widened, type Profile } from './profile.js';

/** One cut of a row: where it is in the pattern, and how it lies. */
export interface Standing {
  readonly x: Mm;
  readonly y: Mm;
  readonly degrees: number;
  readonly mirrored: boolean;
  /** the box of the piece as it lies, about its place */
  readonly left: Mm;
  readonly right: Mm;
  readonly bottom: Mm;
  readonly top: Mm;
}

/**
 * Rows of pieces in each other: a piece and its neighbour (the same, turned by half, or mirrored) every `period` along
 * the row; the next row `up` higher and `shift` to the side, or to and fro.
 */
export interface Lattice {
  readonly pair: readonly [Standing, Standing];
  readonly period: Mm;
  readonly up: Mm;
  readonly shift: Mm;
  readonly toAndFro: boolean;
}

/** Directions that are tried, and how many neighbours one above the other. */
const [DIRECTIONS, HEIGHTS] = [24, 16];
/** Stripes of the smaller side of a piece: to look for lattices, and to measure those that are kept. */
const [COARSE, FINE] = [24, 128];
/** Lattices that are kept: the densest of all, and the densest of each direction. */
const [DENSEST, OF_EACH] = [32, 2];
/** Shapes whose lattices are remembered. */
const REMEMBERED = 48;

interface Lying extends Omit<Standing, 'x' | 'y'> {
  /** stripes along the row (its top and bottom), and across it (its sides) */
  readonly upright: Profile;
  readonly sideways: Profile;
}

function lying(outline: Outline, degrees: number, flipped: boolean, cell: Mm, bridge: Mm): Lying {
  const placed = turned(flipped ? mirrored(outline) : outline, degrees);
  const { left, right, bottom, top } = extentOf(placed);
  return {
    ...{ degrees, mirrored: flipped, left, right, bottom, top },
    upright: widened(profileOf(placed.points, cell, 0), bridge / 2),
    sideways: widened(profileOf(placed.points, cell, 1), bridge / 2),
  };
}

/** A row, as high and as low as it is in each stripe of its period. */
interface Row {
  readonly top: Float64Array;
  readonly bottom: Float64Array;
}

function rowOf(pair: readonly (readonly [Lying, Standing])[], cell: Mm, stripes: number): Row {
  const top = new Float64Array(stripes).fill(-Infinity);
  const bottom = new Float64Array(stripes).fill(Infinity);
  for (const [{ upright }, { x, y }] of pair) {
    const start = Math.round(x / cell) + upright.from;
    for (let i = 0; i < upright.far.length; i++) {
      const at = (((start + i) % stripes) + stripes) % stripes;
      top[at] = Math.max(top[at] as number, (upright.far[i] as number) + y);
      bottom[at] = Math.min(bottom[at] as number, (upright.near[i] as number) + y);
    }
  }
  return { top, bottom };
}

/** How much higher the next row lies, for each shift of it in stripes. */
function climbs({ top, bottom }: Row): Float64Array {
  const n = top.length;
  const up = new Float64Array(n).fill(-Infinity);
  for (let shift = 0; shift < n; shift++) {
    let most = -Infinity;
    for (let i = 0; i < n; i++) {
      const j = i - shift;
      const climb = (top[i] as number) - (bottom[j < 0 ? j + n : j] as number);
      if (climb > most) most = climb;
    }
    up[shift] = most;
  }
  return up;
}

/** Rows above each other that can still meet. */
const MEETING = 4;

/** How high each row has to climb for a shift, so that it meets none of those below it. */
function climbFor(up: Float64Array, shift: number, toAndFro: boolean): Mm {
  const n = up.length;
  if (toAndFro) return Math.max(up[shift] as number, up[(n - shift) % n] as number, (up[0] as number) / 2);
  let most = 0;
  for (let rows = 1; rows <= MEETING; rows++) most = Math.max(most, (up[(rows * shift) % n] as number) / rows);
  return most;
}

/** The shift with the least climb; to and fro it has to do for both ways. */
function leastClimb(up: Float64Array, toAndFro: boolean): { shift: number; up: Mm } {
  let best = { shift: 0, up: Infinity };
  for (let shift = 0; shift < up.length; shift++) {
    const climb = climbFor(up, shift, toAndFro);
    if (climb < best.up - 1e-9) best = { shift, up: climb };
  }
  return best;
}

const standing = (l: Lying, x: Mm, y: Mm): Standing => ({
  ...{ x, y, degrees: l.degrees, mirrored: l.mirrored },
  ...{ left: l.left, right: l.right, bottom: l.bottom, top: l.top },
});

/** How a lattice lies: in which direction, which neighbour, and how much higher that one stands. */
interface Way {
  readonly degrees: number;
  /** the neighbour is turned by half, or mirrored upright or turned */
  readonly turnedBy: 0 | 180;
  /** share of the height of a piece */
  readonly height: number;
}

/** Pieces of one outline, so far apart, as fine as asked for. */
class Pieces {
  private readonly outline: Outline;
  private readonly known = new Map<string, Lying>();

  constructor(
    cutter: Cutter,
    private readonly bridge: Mm,
    private readonly pairs: boolean,
    readonly cell: Mm,
  ) {
    this.outline = { points: cutterOutline(cutter), round: false };
  }

  private lying(degrees: number, flipped: boolean): Lying {
    const key = `${degrees} ${flipped}`;
    const found = this.known.get(key) ?? lying(this.outline, degrees, flipped, this.cell, this.bridge);
    this.known.set(key, found);
    return found;
  }

  /** The lattices of a way, straight on and to and fro; none where the neighbour would stand on the other side. */
  lattices({ degrees, turnedBy: by, height }: Way): Lattice[] {
    const { cell } = this;
    const first = this.lying(degrees, false);
    const second = this.pairs ? this.lying(by - degrees, true) : this.lying(degrees + by, false);
    const shift = Math.round(height * first.sideways.far.length);
    const there = Math.ceil(apart(first.sideways, second.sideways, shift) / cell) * cell;
    const back = Math.ceil(apart(second.sideways, first.sideways, -shift) / cell) * cell;
    const own = Math.max(apart(first.sideways, first.sideways, 0), apart(second.sideways, second.sideways, 0));
    const stripes = Math.round(Math.max(there + back, Math.ceil(own / cell) * cell) / cell);
    if (!Number.isFinite(stripes) || there < 0) return [];
    const pair = [standing(first, 0, 0), standing(second, there, shift * cell)] as const;
    const row = rowOf(
      [
        [first, pair[0]],
        [second, pair[1]],
      ],
      cell,
      stripes,
    );
    const up = climbs(row);
    return [false, true].map((toAndFro) => {
      const least = leastClimb(up, toAndFro);
      return { pair, period: stripes * cell, up: least.up, shift: least.shift * cell, toAndFro };
    });
  }
}

/** mm² of sheet for two pieces. */
const room = ({ period, up }: Lattice): number => period * up;
const leastRoom = (lattices: readonly Lattice[]): number => Math.min(...lattices.map(room));

/** Every way that is tried, in each direction. */
const WAYS: readonly (readonly Way[])[] = Array.from({ length: DIRECTIONS }, (_, i) =>
  ([0, 180] as const).flatMap((by) =>
    Array.from({ length: 2 * HEIGHTS + 1 }, (_w, k): Way => ({
      degrees: (180 / DIRECTIONS) * i,
      turnedBy: by,
      height: (k / HEIGHTS - 1) / 2,
    })),
  ),
);

/** Looked for in coarse stripes, and those that promise most measured in fine ones. */
function lattices(cutter: Cutter, bridge: Mm, pairs: boolean): Lattice[] {
  const side = Math.min(cutter.width, cutter.height);
  const [coarse, fine] = [COARSE, FINE].map((stripes) => new Pieces(cutter, bridge, pairs, side / stripes)) as [
    Pieces,
    Pieces,
  ];
  const byRoom = (ways: readonly Way[]): { way: Way; room: number }[] =>
    ways.map((way) => ({ way, room: leastRoom(coarse.lattices(way)) })).sort((a, b) => a.room - b.room);
  const directions = WAYS.map(byRoom);
  const densest = directions
    .flat()
    .sort((a, b) => a.room - b.room)
    .slice(0, DENSEST);
  const chosen = new Set([...densest, ...directions.flatMap((d) => d.slice(0, OF_EACH))].map(({ way }) => way));
  return [...chosen].flatMap((way) => fine.lattices(way));
}

const remembered = new Map<string, readonly Lattice[]>();

/**
 * The densest ways to lay pieces of one outline in rows with their neighbours turned or mirrored, `bridge` mm apart.
 * Distances are those of the outlines (their convolution, stripe by stripe), never less than asked for.
 * @param pairs every second one is mirrored, for left and right
 */
export function latticesOf(cutter: Cutter, bridge: Mm, pairs: boolean): readonly Lattice[] {
  const { shape, width, height, points } = cutter;
  const key = JSON.stringify([shape, width, height, points, bridge, pairs]);
  const known = remembered.get(key);
  if (known) return known;
  const found = lattices(cutter, bridge, pairs);
  if (remembered.size >= REMEMBERED) remembered.delete(remembered.keys().next().value ?? '');
  remembered.set(key, found);
  return found;
}
