import { labOf, type Lab } from './lab.js';
import { readHex, xyzOfHex } from './srgb.js';
import { complaint } from './sentences.js';

const NUMBER = /^[+-]?\d{1,3}(\.\d+)?$/;

/** A colour as {@link readColour} reads it: `52.3 41.0 -8.0`. */
export const showLab = ({ l, a, b }: Lab): string => [l, a, b].map((n) => n.toFixed(1)).join(' ');

/** The three numbers of a Lab colour, with dots or commas for decimals. */
function labNumbers(text: string): string[] {
  const spaced = text.split(/[\s;]+/).map((piece) => piece.replace(/,$/, '').replace(',', '.'));
  return spaced.length === 3 ? spaced : text.split(',').map((piece) => piece.trim());
}

/**
 * Reads a colour as people write it: six hex digits, or L*, a* and b* as in
 * `Lab 52.3 41 -8`, `52,3; 41; -8` or `52.3, 41, -8`.
 * @throws Complaint `colour/unreadable`; `colour/range` for a Lab colour that no surface has
 */
export function readColour(text: string): Lab {
  const trimmed = text.trim();
  const body = /^(?:lab\s*\(?\s*|\()?(.*?)\)?$/i.exec(trimmed)?.[1]?.trim() ?? '';
  const numbers = labNumbers(body);
  if (numbers.length !== 3 || !numbers.every((n) => NUMBER.test(n))) return labOf(xyzOfHex(readHex(trimmed)));
  const [l = 0, a = 0, b = 0] = numbers.map(Number);
  if (l < 0 || l > 100 || Math.abs(a) > 128 || Math.abs(b) > 128) throw complaint('colour/range', { text: trimmed });
  return { l, a, b };
}
