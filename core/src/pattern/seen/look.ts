import type { Outline } from '#core/cane';
import type { Mm } from '#core/units';

/** What is looked at: a flat face with its edge, and what lies at each of its places. */
export interface Look {
  readonly outline: Outline;
  readonly sample: (x: Mm, y: Mm) => number;
}
