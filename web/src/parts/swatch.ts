import { grey } from '../theme/grey.js';
/** Colour of a thing that nobody knows any more. */
const GONE = grey.unknown;

/** A CSS background: one colour, or those along a fade. @param hexes six digits each */
export function swatch(hexes: readonly string[]): string {
  const [first, ...more] = hexes.map((hex) => `#${hex}`);
  if (first === undefined) return GONE;
  return more.length === 0 ? first : `linear-gradient(to right, ${[first, ...more].join(', ')})`;
}
