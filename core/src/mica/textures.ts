import { seeded } from '#core/units';

/**
 * Height of a texture at a place: 0 where the stamp presses deepest, 1 where the clay stays up.
 * @param u across, in units of the pitch @param v along, the same
 */
type Height = (u: number, v: number) => number;

const TURN = 2 * Math.PI;
const wave = (t: number): number => 0.5 + 0.5 * Math.cos(TURN * t);
const fraction = (t: number): number => t - Math.floor(t);
const clamped = (t: number): number => Math.min(1, Math.max(0, t));
/** A rounded rise of width 1 about the middle of each unit. */
const bar = (t: number): number => Math.sqrt(1 - (2 * fraction(t) - 1) ** 2);
const eased = (t: number): number => t * t * (3 - 2 * t);

/** Values by chance at whole places, the same again for each seed. */
const TABLE = 256;
function noiseOf(seed: number): Height {
  const chance = seeded(seed);
  const values = Float64Array.from({ length: TABLE }, chance);
  const places = Uint8Array.from({ length: TABLE }, () => Math.floor(chance() * TABLE));
  const at = (i: number, j: number): number => values[((places[i & (TABLE - 1)] ?? 0) + j) & (TABLE - 1)] ?? 0;
  return (u, v) => {
    const [i, j] = [Math.floor(u), Math.floor(v)];
    const [s, t] = [eased(u - i), eased(v - j)];
    const above = at(i, j) * (1 - s) + at(i + 1, j) * s;
    const below = at(i, j + 1) * (1 - s) + at(i + 1, j + 1) * s;
    return above * (1 - t) + below * t;
  };
}
const bark = noiseOf(11);
const frost = noiseOf(23);
/** A ridge where a noise crosses its middle. */
const ridge = (value: number): number => 1 - Math.abs(2 * value - 1);

/** The angle between two seeds of a head that come after each other, the room of each, and its radius. */
const [GOLDEN, SEED_ROOM, SEED] = [Math.PI * (3 - Math.sqrt(5)), 0.56, 0.47];
/** Cells that the seeds of a head stand in: no seed reaches beyond the cells beside its own. */
const CELL = 0.5;
/** Cells either way of the middle: further out than any head goes. */
const FAR = 4096;
const cellOf = (i: number, j: number): number => (i + FAR) * 2 * FAR + (j + FAR);

/** Seeds by their cells, as far out as was asked for so far. */
const grown = { cells: new Map<number, (readonly [u: number, v: number])[]>(), count: 0 };

/** Lets the head grow until it is so wide, from the middle. */
function growTo(wide: number): void {
  const wanted = Math.ceil((wide / SEED_ROOM) ** 2);
  for (; grown.count < wanted; grown.count++) {
    const r = SEED_ROOM * Math.sqrt(grown.count + 0.5);
    const seed = [r * Math.cos(grown.count * GOLDEN), r * Math.sin(grown.count * GOLDEN)] as const;
    const cell = cellOf(Math.floor(seed[0] / CELL), Math.floor(seed[1] / CELL));
    grown.cells.set(cell, [...(grown.cells.get(cell) ?? []), seed]);
  }
}

const NONE: readonly (readonly [number, number])[] = [];

function seedHead(u: number, v: number): number {
  growTo(Math.hypot(u, v) + 2 * SEED);
  const [i, j] = [Math.floor(u / CELL), Math.floor(v / CELL)];
  let nearest = Infinity;
  for (let k = i - 1; k <= i + 1; k++)
    for (let l = j - 1; l <= j + 1; l++)
      for (const [x, y] of grown.cells.get(cellOf(k, l)) ?? NONE)
        nearest = Math.min(nearest, (u - x) ** 2 + (v - y) ** 2);
  return Math.sqrt(clamped(1 - nearest / SEED ** 2));
}

/** Half the width and half the length of a pod. */
const [POD_WIDE, POD_LONG] = [0.42, 1.15];
const POD_ROOM = 2.6;

function pods(u: number, v: number): number {
  const row = Math.floor(u);
  const along = fraction(v / POD_ROOM + (row % 2 === 0 ? 0 : 0.5)) - 0.5;
  const [across, long] = [(fraction(u) - 0.5) / POD_WIDE, (along * POD_ROOM) / POD_LONG];
  const shell = Math.sqrt(clamped(1 - across * across - long * long));
  return shell * (0.75 + 0.25 * wave(2.2 * long));
}

const HEIGHTS = {
  furrows: (u) => wave(u),
  reed: (u, v) => bar(u + 0.12 * Math.sin((TURN * v) / 5)),
  net: (u, v) => Math.max(bar(u + v) ** 6, bar(u - v) ** 6),
  bark: (u, v) => ridge(bark(1.9 * u + 1.4 * bark(u, 0.5 * v), 0.4 * v)) ** 3,
  ripple: (u, v) => wave(u + 0.35 * Math.sin((TURN * v) / 4) + 0.12 * Math.sin((TURN * v) / 1.7)),
  'seed head': seedHead,
  pods,
  frost: (u, v) => ridge(0.65 * frost(1.5 * u + 0.7 * v, 1.3 * v) + 0.35 * frost(4 * u - 2 * v, 3.4 * v + 2 * u)) ** 4,
} as const satisfies Readonly<Record<string, Height>>;

/** Textures of ours that a sheet can be pressed with. */
export type Texture = keyof typeof HEIGHTS;
export const TEXTURES = Object.keys(HEIGHTS) as readonly Texture[];

/** Height of a texture, 0 to 1. @param pitch mm from one rise to the next */
export function heightAt(texture: Texture, x: number, y: number, pitch: number): number {
  const height: Height = HEIGHTS[texture];
  return clamped(height(x / pitch, y / pitch));
}
