import { inBoth, showLength, type Mm } from '#core/units';
import { areaOf, extentOf, type Outline } from '#core/cane/outlines';
import { complaint } from './sentences.js';

/** @throws Complaint `cane/positive` */
export function positive(value: number, what: string): number {
  if (!(value > 0) || !Number.isFinite(value)) throw complaint('cane/positive', { what });
  return value;
}

/** @throws Complaint `cane/count` */
export function wholeIn(value: number, what: string, low: number, high: number): number {
  if (!Number.isInteger(value) || value < low || value > high) throw complaint('cane/count', { what, low, high });
  return value;
}

/** A length in both systems, for a complaint: it does not know its reader. */
export const shown = (mm: Mm): string => inBoth((system) => showLength(mm, system));

/** Thousandths of a millimetre are enough for a size that was worked out. */
export const tidy = (mm: number): number => Math.round(mm * 1000) / 1000;

/** Corners that a rectangle has at the most, with those that lie on its sides. */
const MOST_CORNERS = 8;
const HAIR = 1e-6;

/** The sides of a rectangle that is square to the axes; null: it is none. */
export function boxOf(outline: Outline): { readonly width: Mm; readonly height: Mm } | null {
  const { width, height } = extentOf(outline);
  const full = Math.abs((width * height) / areaOf(outline) - 1) < HAIR;
  return outline.points.length <= MOST_CORNERS && full ? { width, height } : null;
}
