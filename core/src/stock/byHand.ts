import type { Density, Grams, Mm } from '#core/units';

/** The diameter of a ball of so much clay: `d = (6V/π)^⅓`. @param density g/cm³ */
export const ballOf = (grams: Grams, density: Density): Mm => Math.cbrt((6 * 1000 * grams) / (Math.PI * density));
