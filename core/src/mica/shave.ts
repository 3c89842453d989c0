import { normalFrom, seeded, showLength, type Mm } from '#core/units';
import { surfaceOf, topOf, type Pressed } from './pressed.js';
import { complaint } from './sentences.js';

/** What a blade left of a pressed sheet. */
export interface Shaved {
  /** heights of the surface after, cell by cell */
  readonly surface: Float32Array;
  /** what each cell is: see {@link KINDS} */
  readonly kinds: Uint8Array;
  /** shares of the area, in the order of {@link KINDS}; their sum is 1 */
  readonly shares: readonly [high: number, right: number, gouged: number];
  /** mm³ */
  readonly shaved: number;
  readonly left: number;
  /** on the middle, after */
  readonly thick: Mm;
}
/** What can be said of a place: it stands too high still, it is right, or the blade went below the valleys. */
export const KINDS = ['high', 'right', 'gouged'] as const;

/** Where the blade goes: how high, and how unevenly by hand. */
export interface Blade {
  readonly height: Mm;
  /** mm by which a hand strays on the middle; 0: a plane */
  readonly strays?: Mm;
  readonly seed?: number;
}

/** So much of the depth, but not less than so many mm, may be left standing or be taken too much. An assumption. */
const [BAND, LEAST_BAND] = [0.15, 0.04];
/** mm between places at which a hand strays by itself. */
const STRAYS_EVERY = 12;

/** The heights between which a blade leaves the picture flat and whole. */
export function bandOf({ valley, depth }: Pressed): readonly [from: Mm, to: Mm] {
  const band = Math.max(LEAST_BAND, BAND * depth);
  return [valley - band, valley + band];
}

/** How a hand strays from a plane, by cell: a slow wave between places that are strayed at by chance. */
function straying({ relief }: Pressed, { strays = 0, seed = 1 }: Blade): (i: number, j: number) => Mm {
  if (strays === 0) return () => 0;
  const normal = normalFrom(seeded(seed));
  const across = Math.ceil((relief.columns * relief.wide) / STRAYS_EVERY) + 2;
  const down = Math.ceil((relief.rows * relief.high) / STRAYS_EVERY) + 2;
  const knots = Float64Array.from({ length: across * down }, () => strays * normal());
  const at = (i: number, j: number): number => knots[j * across + i] ?? 0;
  const between = (from: number, to: number, t: number): number => from + (to - from) * t * t * (3 - 2 * t);
  return (i, j) => {
    const [u, v] = [(i * relief.wide) / STRAYS_EVERY, (j * relief.high) / STRAYS_EVERY];
    const [k, l] = [Math.floor(u), Math.floor(v)];
    const above = between(at(k, l), at(k + 1, l), u - k);
    return between(above, between(at(k, l + 1), at(k + 1, l + 1), u - k), v - l);
  };
}

function checkBlade(pressed: Pressed, { height }: Blade): void {
  if (!(height > 0)) throw complaint('shave/all');
  const top = topOf(pressed);
  if (height >= top) throw complaint('shave/none', { top: showLength(top, 'metric', true) });
}

/**
 * Shaves a pressed sheet. What is shaved and what is left are together what was there.
 * @throws Complaint `shave/none`, `shave/all`
 */
export function shave(pressed: Pressed, blade: Blade): Shaved {
  checkBlade(pressed, blade);
  const { columns, wide, high: tall } = pressed.relief;
  const before = surfaceOf(pressed);
  const strayed = straying(pressed, blade);
  const [low, high] = bandOf(pressed);
  const surface = new Float32Array(before.length);
  const kinds = new Uint8Array(before.length);
  const counts: [number, number, number] = [0, 0, 0];
  let [shaved, left] = [0, 0];
  before.forEach((stands, at) => {
    const cut = Math.max(0, blade.height + strayed(at % columns, Math.floor(at / columns)));
    const now = Math.min(stands, cut);
    const kind = kindAt(now, low, high);
    surface[at] = now;
    kinds[at] = kind;
    counts[kind] += 1;
    shaved += stands - now;
    left += now;
  });
  const [a, b, c] = counts.map((count) => count / before.length) as [number, number, number];
  const area = wide * tall;
  return {
    ...{ surface, kinds, shaved: shaved * area, left: left * area },
    shares: [a, b, c],
    thick: left / before.length,
  };
}

function kindAt(stands: Mm, low: Mm, high: Mm): 0 | 1 | 2 {
  if (stands > high) return 0;
  return stands < low ? 2 : 1;
}
