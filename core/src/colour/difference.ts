import { differenceCiede2000, modeLab65, useMode } from 'culori/fn';
import type { Lab } from './lab.js';

useMode(modeLab65);
const ciede = differenceCiede2000();

/** ΔE00 between two colours (CIE 142-2001, package culori, which compares under D65). */
export function deltaE(one: Lab, other: Lab): number {
  return ciede({ mode: 'lab65', ...one }, { mode: 'lab65', ...other });
}
