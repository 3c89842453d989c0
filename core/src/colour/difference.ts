import { ciede2000 } from './ciede2000.js';
import type { Lab } from './lab.js';

/** ΔE00 between two colours (CIE 142-2001). About 1 is the least that side by side can be seen. */
export const deltaE = (one: Lab, other: Lab): number => ciede2000(one.l, one.a, one.b, other.l, other.a, other.b);
