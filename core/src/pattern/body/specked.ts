import type { Mm } from '#core/units';
import { AIR, type Body, type Field } from './body.js';

/** Primes that a place is stirred with. */
const [ONE, TWO, THREE] = [73856093, 19349663, 83492791];

/** A number from 0 to below 1 for a place of a lattice, the same each time. */
function chanceAt(i: number, j: number, k: number, salt: number): number {
  let t = Math.imul(i, ONE) ^ Math.imul(j, TWO) ^ Math.imul(k, THREE) ^ Math.imul(salt, 0x9e3779b1);
  t = Math.imul(t ^ (t >>> 15), 0x85ebca6b);
  t = Math.imul(t ^ (t >>> 13), 0xc2b2ae35);
  return ((t ^ (t >>> 16)) >>> 0) / 4294967296;
}

/** One speck in each cube of a lattice, its middle where chance puts it; a place asks the cubes around. */
function inSpeck(x: Mm, y: Mm, z: Mm, step: Mm, radius: Mm, salt: number): boolean {
  const [u, v, w, off] = [x / step, y / step, z / step, radius / step];
  for (let k = Math.floor(w - off); k <= Math.floor(w + off); k++)
    for (let j = Math.floor(v - off); j <= Math.floor(v + off); j++)
      for (let i = Math.floor(u - off); i <= Math.floor(u + off); i++) {
        const dx = u - i - chanceAt(i, j, k, salt);
        const dy = v - j - chanceAt(i, j, k, salt + 1);
        const dz = w - k - chanceAt(i, j, k, salt + 2);
        if (dx * dx + dy * dy + dz * dz < off * off) return true;
      }
  return false;
}

/** The material of the speck at a place; {@link AIR} where there is none. */
export function specksOf({ specks }: Pick<Body, 'specks'>, seed: number): Field {
  const all = specks.map(({ material, diameter, number }, n) => ({
    material,
    radius: diameter / 2,
    step: number ** (-1 / 3),
    salt: seed * 31 + n * 7,
  }));
  return (x, y, z) => {
    for (const { material, radius, step, salt } of all) if (inSpeck(x, y, z, step, radius, salt)) return material;
    return AIR;
  };
}

/** What is seen of a field with its specks: they lie where the clay is by now, and are as large as they were. */
export function specked(body: Pick<Body, 'specks'>, field: Field, seed: number): Field {
  if (body.specks.length === 0) return field;
  const specks = specksOf(body, seed);
  return (x, y, z) => {
    const clay = field(x, y, z);
    if (clay === AIR) return AIR;
    const speck = specks(x, y, z);
    return speck === AIR ? clay : speck;
  };
}
