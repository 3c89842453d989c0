import { labOf, xyzOfHex, type Lab } from '#core/colour';
import { kindOf, patternContext, type PatternStep } from '#core/pattern';
import { sheenLabs, shimmers } from './sheen.js';
import type { CaneMaterial } from '../canes/clay/materials.js';

/** The colours of materials, along their fades. */
export const labsOf = (materials: ReadonlyMap<string, CaneMaterial>): Readonly<Record<string, readonly Lab[]>> =>
  Object.fromEntries([...materials].map(([key, m]) => [key, shimmers(m) ? sheenLabs(m) : along(m.hexes, m.lab)]));

const along = (hexes: readonly string[], lab: Lab): readonly Lab[] =>
  hexes.length <= 1 ? [lab] : hexes.map((hex) => labOf(xyzOfHex(hex)));

/** mm³ of each material that the first step lays down: what is mixed if one goes on too long. */
export function volumesLaid([first]: readonly PatternStep[]): readonly (readonly [key: string, volume: number])[] {
  // how large their faces are, the worker knows: here they are taken as alike
  if (first?.do === 'slab') return first.slices.map(({ of, thickness }) => [of, thickness]);
  const sums = new Map<string, number>();
  for (const { of, volume } of (first && kindOf(first).starts?.(first, null, patternContext())) ?? [])
    sums.set(of, (sums.get(of) ?? 0) + volume);
  return [...sums];
}
