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

/** The angle between two seeds that come after each other in a head, and px between them by the pitch. */
const [GOLDEN, SEED_ROOM] = [Math.PI * (3 - Math.sqrt(5)), 0.56];
/** How far, in rings of seeds, the nearest one can lie. */
const RINGS = 1.3;

function seedHead(u: number, v: number): number {
  const ring = Math.hypot(u, v) / SEED_ROOM;
  const last = Math.ceil((ring + RINGS) ** 2);
  let nearest = Infinity;
  for (let n = Math.floor(Math.max(0, ring - RINGS) ** 2); n <= last; n++) {
    const r = SEED_ROOM * Math.sqrt(n + 0.5);
    nearest = Math.min(nearest, (u - r * Math.cos(n * GOLDEN)) ** 2 + (v - r * Math.sin(n * GOLDEN)) ** 2);
  }
  return Math.sqrt(clamped(1 - nearest / 0.22));
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
