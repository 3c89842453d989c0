import { Fraction } from './fraction.js';
import { complaint } from './complaint.js';

const GLYPHS: Readonly<Record<string, string>> = {
  '½': '1/2', '¼': '1/4', '¾': '3/4', '⅓': '1/3', '⅔': '2/3',
  '⅛': '1/8', '⅜': '3/8', '⅝': '5/8', '⅞': '7/8',
};
const GLYPH_OF = new Map(Object.entries(GLYPHS).map(([glyph, text]) => [text, glyph]));

/** What a number looks like at the start of a text: `3`, `1.5`, `1,5`, `1/4`, `3½`, `3 1/2`, `½`. */
export const NUMBER_PATTERN =
  /^(?:\d+\s+\d+\s*\/\s*\d+|\d+\s*\/\s*\d+|\d+\s*[½¼¾⅓⅔⅛⅜⅝⅞]|[½¼¾⅓⅔⅛⅜⅝⅞]|\d+(?:[.,]\d+)?|[.,]\d+)/;

/**
 * Reads a non-negative number as people write it, exactly.
 * @throws Complaint `parts/unreadable` for anything else (also for NaN, signs, a zero denominator)
 */
export function readNumber(text: string): Fraction {
  const trimmed = text.trim();
  const found = NUMBER_PATTERN.exec(trimmed);
  if (!found || found[0].length !== trimmed.length || trimmed.length > 24) {
    throw complaint('parts/unreadable', { text: trimmed });
  }
  const plain = trimmed
    .replace(/[½¼¾⅓⅔⅛⅜⅝⅞]/, (glyph) => ` ${GLYPHS[glyph] ?? ''}`)
    .replace(/\s*\/\s*/, '/')
    .trim();
  if (/\/0+$/.test(plain)) throw complaint('parts/unreadable', { text: trimmed });
  return plain
    .split(/\s+/)
    .map((piece) => new Fraction(piece.replace(',', '.')))
    .reduce((sum, piece) => sum.add(piece), new Fraction(0));
}

/** Writes a number so that {@link readNumber} gives it back exactly: `3½`, `2`, `3/7`. */
export function showNumber(value: Fraction): string {
  const whole = value.floor();
  const rest = value.sub(whole);
  if (rest.equals(0)) return whole.toFraction();
  const restText = rest.toFraction();
  const glyph = GLYPH_OF.get(restText);
  const wholeText = whole.equals(0) ? '' : whole.toFraction();
  if (glyph !== undefined) return `${wholeText}${glyph}`;
  return wholeText === '' ? restText : `${wholeText} ${restText}`;
}
