import { DARKEST, shareAt } from '#core/mica';
import type { Mm } from '#core/units';
import { extentOf } from '#core/cane';
import type { Look } from './look.js';
import { AIR, FADE, type Body, type Field } from '#core/pattern/body';

/** What the sheen of mica clays on a body is worked out with. */
export interface Sheen {
  /** the same body, each place of which tells how high it lay in its first stack */
  readonly heights: Body;
  /** of each material by its number: mm below the surface that its light comes from on the middle; null: no mica */
  readonly deep: readonly (Mm | null)[];
}

/** A direction that is looked along: a unit vector out of the clay. */
export type Towards = readonly [x: number, y: number, z: number];

/** mm between places at which heights are compared, and mm a mm from which on a slope is one of layers. */
const [HAIR, LEAST]: readonly [Mm, number] = [0.01, 0.03];

/** How fast the height changes from a place to one beside it, or before it where that lies in the air. */
function change(here: number, beside: number, before: () => number): number {
  if (beside !== AIR) return (beside - here) / HAIR;
  const other = before();
  return other === AIR ? 0 : (here - other) / HAIR;
}

/** How much of the face of its flakes a place shows to the eye: 1 where they lie across the look, 0 on their edges. */
function facing(heights: Field, x: Mm, y: Mm, z: Mm, [nx, ny, nz]: Towards): number {
  const here = heights(x, y, z);
  const dx = change(here, heights(x + HAIR, y, z), () => heights(x - HAIR, y, z));
  const dy = change(here, heights(x, y + HAIR, z), () => heights(x, y - HAIR, z));
  const dz = -change(here, heights(x, y, z - HAIR), () => heights(x, y, z + HAIR));
  const whole = dx * dx + dy * dy + dz * dz;
  if (whole < LEAST * LEAST) return 1;
  const towards = (dx * nx + dy * ny + dz * nz) ** 2;
  return towards <= 1e-9 * whole ? 0 : shareAt(whole / towards - 1);
}

/** Less deep than this it comes from the surface. */
const SHALLOW: Mm = 0.1;

/**
 * A field whose mica clays tell behind the point how much of the edges of their flakes is seen: 0 where they lie
 * flat. A fade tells its place, and shows no sheen.
 */
export function shimmering(field: Field, heights: Field, deep: Sheen['deep'], towards: Towards): Field {
  const seen = (x: Mm, y: Mm, z: Mm, number: number, far: Mm): number => {
    if (far < SHALLOW) return facing(heights, x, y, z, towards);
    const [u, v, w] = [x - far * towards[0], y - far * towards[1], z - far * towards[2]];
    const same = Math.floor(field(u, v, w)) === number;
    return same ? facing(heights, u, v, w, towards) : facing(heights, x, y, z, towards);
  };
  return (x, y, z) => {
    const value = field(x, y, z);
    const far = value < 0 ? null : (deep[Math.floor(value)] ?? null);
    if (far === null) return value;
    const number = Math.floor(value);
    return number + FADE * (1 - seen(x, y, z, number, far));
  };
}

/** Places across a face that its sheen is looked at. */
const ACROSS = 160;

/**
 * How much of the face colour the darkest places of each mica clay show: the brightest of its darkest fiftieth, by the
 * number of the material. 1: all of it lies flat, and nothing is to be seen.
 * @param look a face with its sheen
 */
export function darkestOf({ outline, sample }: Look, deep: Sheen['deep']): ReadonlyMap<number, number> {
  const { left, bottom, width, height } = extentOf(outline);
  const shares = new Map<number, number[]>();
  for (let j = 0; j < ACROSS; j++)
    for (let i = 0; i < ACROSS; i++) {
      const value = sample(left + ((i + 0.5) / ACROSS) * width, bottom + ((j + 0.5) / ACROSS) * height);
      const number = Math.floor(value);
      if (value < 0 || (deep[number] ?? null) === null) continue;
      const of = shares.get(number) ?? [];
      of.push(1 - (value - number) / FADE);
      shares.set(number, of);
    }
  return new Map(
    [...shares].map(([number, of]) => [number, of.sort((a, b) => a - b)[Math.floor(DARKEST * of.length)] ?? 1]),
  );
}
