import { labOfLinear, linearOfLab, type Lab } from '#core/colour';
import type { Gains } from './neutral.js';

/** A colour that was taken from a picture under some gains, as it is under others. */
export function recast(lab: Lab, before: Gains, after: Gains): Lab {
  const [r, g, b] = linearOfLab(lab);
  return labOfLinear([(r * after[0]) / before[0], (g * after[1]) / before[1], (b * after[2]) / before[2]]);
}
