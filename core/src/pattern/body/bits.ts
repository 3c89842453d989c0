import { seeded, type Mm } from '#core/units';
import type { Field } from './body.js';

/** A colour of a heap of bits: its number, and its share of the whole by volume. */
export interface BitsOf {
  readonly material: number;
  readonly share: number;
}

/** How far a bit may lie from the middle of its place, as a share of the edge of a bit. */
const LOOSE = 0.8;
/** Points that bits are measured with: of each one so many, all together at least and at most. */
const [MEASURED, LEAST, MOST] = [60, 250_000, 400_000];
/** Times that bits are tried to change places, to come closer to the shares. */
const SWAPS = 4000;

/** Bits in a box: a lattice of places, each moved by chance. */
interface Lattice {
  readonly columns: number;
  readonly rows: number;
  readonly layers: number;
  readonly step: readonly [Mm, Mm, Mm];
  readonly points: Float64Array;
}

function latticeIn(width: Mm, height: Mm, thick: Mm, edge: Mm, chance: () => number): Lattice {
  const count = (mm: Mm): number => Math.max(1, Math.round(mm / edge));
  const [columns, rows, layers] = [count(width), count(height), count(thick)];
  const step = [width / columns, height / rows, thick / layers] as const;
  const points = new Float64Array(3 * columns * rows * layers);
  for (let n = 0; n < points.length; n++) points[n] = 0.5 + LOOSE * (chance() - 0.5);
  return { columns, rows, layers, step, points };
}

/** The bit whose middle is nearest, among those around. */
function nearest({ columns, rows, layers, step, points }: Lattice, x: Mm, y: Mm, z: Mm): number {
  const [u, v, w] = [x / step[0], y / step[1], z / step[2]];
  const [i0, j0, k0] = [Math.floor(u), Math.floor(v), Math.floor(w)];
  let [best, least] = [0, Infinity];
  for (let k = Math.max(0, k0 - 1); k <= Math.min(layers - 1, k0 + 1); k++)
    for (let j = Math.max(0, j0 - 1); j <= Math.min(rows - 1, j0 + 1); j++)
      for (let i = Math.max(0, i0 - 1); i <= Math.min(columns - 1, i0 + 1); i++) {
        const bit = (k * rows + j) * columns + i;
        const dx = (i + (points[3 * bit] as number) - u) * step[0];
        const dy = (j + (points[3 * bit + 1] as number) - v) * step[1];
        const dz = (k + (points[3 * bit + 2] as number) - w) * step[2];
        const far = dx * dx + dy * dy + dz * dz;
        if (far < least) [best, least] = [bit, far];
      }
  return best;
}

/** mm³ of each bit within a box or a rod, in any unit: by points spread by chance. */
function sizesOf(lattice: Lattice, round: boolean, chance: () => number): Float64Array {
  const { columns, rows, layers, step } = lattice;
  const count = columns * rows * layers;
  const sizes = new Float64Array(count);
  const tries = Math.min(MOST, Math.max(LEAST, MEASURED * count));
  const [width, height, thick] = [columns * step[0], rows * step[1], layers * step[2]];
  for (let n = 0; n < tries; n++) {
    const [x, y, z] = [chance() * width, chance() * height, chance() * thick];
    if (round && Math.hypot(x / width - 0.5, y / height - 0.5) > 0.5) continue;
    const bit = nearest(lattice, x, y, z);
    sizes[bit] = (sizes[bit] as number) + 1;
  }
  return sizes;
}

/** Colours dealt to bits in an order of chance, each to the colour that lacks most, then exchanged while that helps. */
function dealt(sizes: Float64Array, colours: readonly BitsOf[], chance: () => number): Int16Array {
  const whole = sizes.reduce((a, b) => a + b, 0);
  const parts = colours.reduce((sum, c) => sum + c.share, 0);
  const lacks = colours.map((c) => (c.share / parts) * whole);
  const order = [...sizes.keys()];
  for (let i = order.length - 1; i > 0; i--) {
    const j = Math.floor(chance() * (i + 1));
    [order[i], order[j]] = [order[j] as number, order[i] as number];
  }
  const of = new Int16Array(sizes.length);
  for (const bit of order) {
    // the likelier, the more of it is still to be laid
    let [ticket, one] = [chance() * lacks.reduce((sum, l) => sum + Math.max(0, l), 0), 0];
    while (one < lacks.length - 1 && ticket >= Math.max(0, lacks[one] as number)) {
      ticket -= Math.max(0, lacks[one] as number);
      one++;
    }
    of[bit] = one;
    lacks[one] = (lacks[one] as number) - (sizes[bit] as number);
  }
  for (let n = 0; n < SWAPS; n++) exchange(of, sizes, lacks, chance);
  return of;
}

/** Exchanges two bits where the shares come closer by it. */
function exchange(of: Int16Array, sizes: Float64Array, lacks: number[], chance: () => number): void {
  const pick = (): number => Math.floor(chance() * sizes.length);
  const [a, b] = [pick(), pick()];
  const [one, two] = [of[a] as number, of[b] as number];
  if (one === two) return;
  const more = (sizes[b] as number) - (sizes[a] as number);
  const [was1, was2] = [lacks[one] as number, lacks[two] as number];
  const [now1, now2] = [was1 - more, was2 + more];
  if (Math.abs(now1) + Math.abs(now2) >= Math.abs(was1) + Math.abs(was2)) return;
  of[a] = two;
  of[b] = one;
  lacks[one] = now1;
  lacks[two] = now2;
}

/**
 * Bits of an edge, mixed by chance and pressed together: cells about points of a lattice that chance has moved.
 * @param colours by share of volume
 */
export function withBits(
  size: { readonly width: Mm; readonly height: Mm; readonly thick: Mm; readonly round: boolean },
  edge: Mm,
  colours: readonly BitsOf[],
  seed: number,
): Field {
  const { width, height, thick, round } = size;
  const chance = seeded(seed * 977 + 13);
  const lattice = latticeIn(width, height, thick, edge, chance);
  const sizes = sizesOf(lattice, round, chance);
  const of = dealt(sizes, colours, chance);
  const material = colours.map((c) => c.material);
  return (x, y, z) => material[of[nearest(lattice, x + width / 2, y + height / 2, z)] as number] as number;
}
