import type { MaterialKey } from '#core/cane';
import { inBoth, showLength, type Mm } from '#core/units';
import type { PatternContext } from './kind.js';
import { complaint } from './sentences.js';

/** @throws Complaint `pattern/positive` */
export function positive(value: number, what: string): number {
  if (!(value > 0) || !Number.isFinite(value)) throw complaint('pattern/positive', { what });
  return value;
}

/** @throws Complaint `pattern/count` */
export function wholeIn(value: number, what: string, low: number, high: number): number {
  if (!Number.isInteger(value) || value < low || value > high) throw complaint('pattern/count', { what, low, high });
  return value;
}

/** A length in both systems, for a complaint: it does not know its reader. */
export const shown = (mm: Mm): string => inBoth((system) => showLength(mm, system));

/** Thousandths of a millimetre are enough for a size that was worked out. */
export const tidy = (mm: number): number => Math.round(mm * 1000) / 1000;

/** The number of a material in a context; a new one where it was not met before. */
export function numberOf({ materials }: PatternContext, key: MaterialKey): number {
  const known = materials.indexOf(key);
  return known >= 0 ? known : materials.push(key) - 1;
}

/** A number of its own for what hands do at a step. */
export const saltOf = ({ seed }: PatternContext, at: number): number => seed * 64 + at;
