import type { Tapered } from '#core/cane';
import { showLength, type UnitSystem } from '#core/units';

/** What a stronger hand makes of a reduction. */
export const taperWords = ({ thin, thick }: Tapered, units: UnitSystem): string =>
  `With one hand stronger it is ${showLength(thin, units)} across at one end and ${showLength(thick, units)} at the ` +
  'other. Turned end for end now and then, it stays even.';
