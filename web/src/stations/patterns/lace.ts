import { lightThrough } from '#core/colour';
import type { PatternStep } from '#core/pattern';
import type { Mm } from '#core/units';
import type { CaneMaterial } from '../canes/clay/materials.js';

/** What leaves a sheet one layer from its face to its back. */
const KEEPS_ONE_LAYER: ReadonlySet<string> = new Set(['roll', 'over', 'quarter', 'trim', 'press']);

/** Whether a sheet is one layer everywhere, so that what is seen of it against the light is the clay of that place. */
export function isOneLayer(steps: readonly PatternStep[]): boolean {
  const [first, ...rest] = steps;
  const single = first?.do === 'slab' || (first?.do === 'stack' && first.layers.length === 1);
  return single && rest.every((step) => KEEPS_ONE_LAYER.has(step.do));
}

/** How much light a clay lets through, and its narrowest walls. */
export interface Through {
  readonly key: string;
  readonly name: string;
  /** share of the light */
  readonly share: number;
  /** null: nowhere between others */
  readonly wall: Mm | null;
}

/** From this share on light is seen in a wall: an assumption. */
export const GLOWS = 0.05;

/** Whether enough light comes through anything for it to be held against the light. */
export const isGlass = (all: readonly Through[]): boolean => all.some((one) => one.share >= GLOWS);

/** What each of the clays that are seen lets through, the darkest first. @param walls mm, by their keys */
export function lightIn(
  materials: ReadonlyMap<string, CaneMaterial>,
  walls: Readonly<Record<string, Mm>>,
  thick: Mm,
): readonly Through[] {
  return Object.entries(walls)
    .flatMap(([key, wall]): Through[] => {
      const material = materials.get(key);
      if (!material) return [];
      const share = lightThrough(material.pigment, thick).y;
      return [{ key, name: material.name, share, wall: Number.isFinite(wall) ? wall : null }];
    })
    .sort((a, b) => a.share - b.share);
}
