import type { Mm } from '#core/units';
import type { Lattice, Standing } from './lattice.js';

/** Places of cuts on a sheet: x then y, mm; how far each is turned, degrees; 1 where it is mirrored. */
export interface Places {
  readonly centres: Float64Array;
  readonly turns: Float64Array;
  readonly flips: Float64Array;
}

const HAIR = 1e-6;

/** How far to the side a row begins. */
function offsetOf({ shift, period, toAndFro }: Lattice, row: number): Mm {
  if (toAndFro) return row % 2 === 0 ? 0 : shift;
  return (row * shift) % period;
}

/** Which repeats of one cut lie wholly in the room along a row: the first, the last, and where the pattern begins. */
function repeatsIn(lattice: Lattice, row: number, room: Mm, { x, left, right }: Standing) {
  const { pair, period } = lattice;
  const start = offsetOf(lattice, row) - pair[0].left + x;
  const first = Math.ceil((-HAIR - left - start) / period);
  const last = Math.floor((room + HAIR - right - start) / period);
  return { start, first, count: Math.max(0, last - first + 1) };
}

/** The cuts of a row that lie wholly in the room along it. */
function rowIn(lattice: Lattice, row: number, room: Mm): Standing[] {
  const found = lattice.pair.flatMap((one) => {
    const { start, first, count } = repeatsIn(lattice, row, room, one);
    return Array.from({ length: count }, (_, i) => ({ ...one, x: start + (first + i) * lattice.period }));
  });
  return found.sort((a, b) => a.x - b.x);
}

/** How many those are. */
export const countIn = (lattice: Lattice, row: number, room: Mm): number =>
  lattice.pair.reduce((cuts, one) => cuts + repeatsIn(lattice, row, room, one).count, 0);

/** Rooms along a row in which one more cut just fits, the smallest first. */
export function roomsOf({ pair, period }: Lattice, most: Mm): Mm[] {
  const [first] = pair;
  const rooms = new Set<Mm>();
  for (let k = 0; ; k++) {
    const ends = pair.map((one) => k * period + one.x + one.right - first.left);
    const within = ends.filter((end) => end <= most + HAIR);
    for (const end of within) rooms.add(end);
    if (within.length === 0) break;
  }
  return [...rooms].sort((a, b) => a - b);
}

/** From the lowest to the highest edge of rows, mm. */
export function heightOf({ pair, up }: Lattice, rows: number): Mm {
  const low = Math.min(...pair.map((s) => s.y + s.bottom));
  const high = Math.max(...pair.map((s) => s.y + s.top));
  return (rows - 1) * up + high - low;
}

/** The most rows within a height. */
export function rowsWithin(lattice: Lattice, height: Mm): number {
  const one = heightOf(lattice, 1);
  return one > height + HAIR ? 0 : 1 + Math.floor((height - one + HAIR) / lattice.up);
}

/** How the cuts lie on a sheet. */
export interface Lying {
  readonly lattice: Lattice;
  readonly room: Mm;
  readonly bridge: Mm;
  /** rows run up the sheet */
  readonly along: boolean;
}

/** Where so many cuts lie, the lower left corner of the sheet at the origin. */
export function placesOf({ lattice, room, bridge, along }: Lying, count: number): Places {
  const [centres, turns, flips] = [new Float64Array(2 * count), new Float64Array(count), new Float64Array(count)];
  const low = Math.min(...lattice.pair.map((s) => s.y + s.bottom));
  const across = heightOf(lattice, rowsFor(lattice, room, count)) + 2 * bridge;
  for (let i = 0, row = 0; i < count; row++) {
    for (const one of rowIn(lattice, row, room).slice(0, count - i)) {
      const [x, y] = [bridge + one.x, bridge + one.y - low + row * lattice.up];
      // along the sheet all of it is turned by a quarter
      centres.set(along ? [across - y, x] : [x, y], 2 * i);
      turns[i] = one.degrees + (along ? 90 : 0);
      flips[i] = one.mirrored ? 1 : 0;
      i++;
    }
  }
  return { centres, turns, flips };
}

/** Rows in which so many cuts find place. */
export function rowsFor(lattice: Lattice, room: Mm, count: number): number {
  let [rows, cuts] = [0, 0];
  while (cuts < count) {
    const here = countIn(lattice, rows, room);
    if (here === 0 && rows > 2) return Infinity;
    cuts += here;
    rows++;
  }
  return rows;
}
