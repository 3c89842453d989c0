import { hexOf, xyzOfLab, type Lab } from '#core/colour';
import { micaColours, sheenColour, type MicaColours } from '#core/mica';
import type { PatternPaints } from '../../workers/pattern.js';
import { bytes, type CaneMaterial } from '../canes/clay/materials.js';

/** From this share of mica clay on a colour shimmers: an assumption. */
const SHIMMERS = 0.2;
/** Colours from the flat of flakes to their edges: of a paint, and to look for places by. */
const [SHADES, LABS] = [256, 24];
/** The light of a clay comes from so much of what hides a ground, on the middle: an assumption. */
export const MIDDLE = 0.25;

export const shimmers = ({ micaShare, hexes }: CaneMaterial): boolean => micaShare >= SHIMMERS && hexes.length === 1;

/** What the sheen of a material follows from. */
type Sheeny = Pick<CaneMaterial, 'lab' | 'micaShare' | 'edgeLight'>;

/** Colours of a material with mica in it: the less there is, the less darker are its edges. */
export const sheenOf = ({ lab, micaShare, edgeLight }: Sheeny): MicaColours =>
  micaColours(lab, 1 - (1 - edgeLight) * micaShare);

/** Colours from the flat of its flakes to their edges. */
export function sheenLabs(material: Sheeny, steps = LABS): readonly Lab[] {
  const colours = sheenOf(material);
  return Array.from({ length: steps }, (_, i) => sheenColour(colours, 1 - i / (steps - 1)));
}

function sheenPaint(material: CaneMaterial): Uint8Array {
  return Uint8Array.from(sheenLabs(material, SHADES).flatMap((lab) => bytes(hexOf(xyzOfLab(lab)))));
}

/** What the materials of a patterned sheet are painted in. */
export function patternPaints(materials: ReadonlyMap<string, CaneMaterial>): PatternPaints {
  const all = [...materials];
  return {
    colours: Object.fromEntries(all.map(([key, m]) => [key, shimmers(m) ? sheenPaint(m) : m.paint])),
    deep: Object.fromEntries(all.flatMap(([key, m]) => (shimmers(m) ? [[key, MIDDLE * m.hides] as const] : []))),
  };
}
