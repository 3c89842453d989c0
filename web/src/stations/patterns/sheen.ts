import { hexOf, xyzOfLab } from '#core/colour';
import { EDGE_LIGHT, micaColours, sheenColour, type MicaColours } from '#core/mica';
import type { PatternPaints } from '../../workers/pattern.js';
import type { CaneMaterial } from '../canes/clay/materials.js';

/** From this share of mica clay on a colour shimmers: an assumption. */
const SHIMMERS = 0.2;
/** Colours from the flat of flakes to their edges. */
const SHADES = 256;
/** The light of a clay comes from so much of what hides a ground, on the middle: an assumption. */
export const MIDDLE = 0.25;

const shimmers = ({ micaShare, hexes }: CaneMaterial): boolean => micaShare >= SHIMMERS && hexes.length === 1;

/** Colours of a material with mica in it: the less there is, the less darker are its edges. */
export const sheenOf = ({ lab, micaShare }: Pick<CaneMaterial, 'lab' | 'micaShare'>): MicaColours =>
  micaColours(lab, 1 - (1 - EDGE_LIGHT) * micaShare);

function sheenPaint(material: CaneMaterial): Uint8Array {
  const colours = sheenOf(material);
  return Uint8Array.from(
    Array.from({ length: SHADES }, (_, i) => {
      const n = parseInt(hexOf(xyzOfLab(sheenColour(colours, 1 - i / (SHADES - 1)))).replace('#', ''), 16);
      return [n >> 16, (n >> 8) & 255, n & 255];
    }).flat(),
  );
}

/** What the materials of a patterned sheet are painted in. */
export function patternPaints(materials: ReadonlyMap<string, CaneMaterial>): PatternPaints {
  const all = [...materials];
  return {
    colours: Object.fromEntries(all.map(([key, m]) => [key, shimmers(m) ? sheenPaint(m) : m.paint])),
    deep: Object.fromEntries(all.flatMap(([key, m]) => (shimmers(m) ? [[key, MIDDLE * m.hides] as const] : []))),
  };
}
