import { inBoth, showMass, type Density, type Grams, type Mm, type Mm2, type Mm3 } from '#core/units';
import { complaint } from './sentences.js';

/** How the room in a mould was found: by the clay that filled it, or by water. */
export const FILLED_WITH = ['clay', 'water'] as const;
export type FilledWith = (typeof FILLED_WITH)[number];

/** g/cm³ of water. */
const WATER: Density = 1;

/** mm³ of the room in a mould. @param density of the clay that was weighed, g/cm³ */
export const cavityOf = (grams: Grams, filled: FilledWith, density: Density): Mm3 =>
  (1000 * grams) / (filled === 'water' ? WATER : density);

/** The opening of a mould, and how deep it is, mm. */
export interface Mould {
  readonly width: Mm;
  readonly length: Mm;
  readonly deep: Mm;
  readonly cavity: Mm3;
}

/** What goes into a mould: the sheet that lines it, and the clay behind it. */
export interface Lining {
  /** of the sheet, an oval as the opening, mm */
  readonly width: Mm;
  readonly length: Mm;
  readonly area: Mm2;
  readonly sheet: Grams;
  readonly behind: Grams;
  /** across a ball of the clay behind it, mm */
  readonly ball: Mm;
}

/**
 * A sheet that lines an oval mould, which is taken to be hollow as the inside of a bowl, and the clay that fills the
 * rest. @throws Complaint `pattern/form size`, `pattern/mould full`
 */
export function liningOf({ width, length, deep, cavity }: Mould, mm: Mm, density: Density): Lining {
  for (const [what, size] of [
    ['The width', width],
    ['The length', length],
    ['The depth', deep],
    ['The room', cavity],
  ] as const)
    if (!(size > 0)) throw complaint('pattern/form size', { what });
  const [a, b] = [width / 2, length / 2];
  const area = Math.PI * (a * b + deep * deep);
  const larger = Math.sqrt(area / (Math.PI * a * b));
  const sheet = (area * mm * density) / 1000;
  const behind = (cavity * density) / 1000 - sheet;
  if (behind < 0) {
    const said = (grams: Grams): string => inBoth((system) => showMass(grams, system));
    throw complaint('pattern/mould full', { cavity: said((cavity * density) / 1000), sheet: said(sheet) });
  }
  const ball = Math.cbrt((6 * 1000 * behind) / (Math.PI * density));
  return { width: width * larger, length: length * larger, area, sheet, behind, ball };
}
