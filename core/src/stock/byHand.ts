import type { Density, Grams, Mm } from '#core/units';

/** The diameter of a ball of so much clay: `d = (6V/π)^⅓`. @param density g/cm³ */
export const ballOf = (grams: Grams, density: Density): Mm => Math.cbrt((6 * 1000 * grams) / (Math.PI * density));

/** Slices overlap by such a share of their area where they cover something round: an assumption. */
export const OVERLAP = 0.1;

/** What some slices cover. */
export interface Covered {
  /** side of the square that they fill side by side, mm */
  readonly square: Mm;
  /** across the core that they cover, and across the bead then, mm; null where they are too thick for one */
  readonly core: Mm | null;
  readonly bead: Mm | null;
}

/**
 * What slices cover as they are cut: their faces side by side, or a core all around. A bead is its core and twice the
 * wall, `D = d + 2t`; what is covered is the sphere in the middle of the wall, and a little more for the overlap.
 * @param face mm² of one slice @param thick mm
 */
export function coveredBy(count: number, face: number, thick: Mm): Covered {
  const area = count * face;
  const core = Math.sqrt(area / ((1 + OVERLAP) * Math.PI)) - thick;
  const round = core > 0;
  return { square: Math.sqrt(area), core: round ? core : null, bead: round ? core + 2 * thick : null };
}

/** How many slices cover a core: as many as it takes, whole ones. @param face mm² of one slice @param thick mm */
export const slicesAround = (core: Mm, face: number, thick: Mm): number =>
  Math.ceil(((1 + OVERLAP) * Math.PI * (core + thick) ** 2) / face - 1e-9);
