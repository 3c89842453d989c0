import { Fraction } from './fraction.js';
import { complaint } from './sentences.js';

const GLYPHS: Readonly<Record<string, string>> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅓': '1/3',
  '⅔': '2/3',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};
const GLYPH_OF = new Map(Object.entries(GLYPHS).map(([glyph, text]) => [text, glyph]));

/** Marks between groups of three digits that are no decimal mark anywhere: spaces, thin ones too, and apostrophes. */
const GAP = "[ \u00a0\u2009\u202f'’]";

/**
 * What a number looks like at the start of a text: `3`, `1.5`, `1,5`, `1/4`,
 * `3½`, `3 1/2`, `½`; with groups of three digits `1 173`, `1,173.5` or
 * `1.173,5`.
 */
export const NUMBER_PATTERN = new RegExp(
  [
    '^(?:\\d+\\s+\\d+\\s*\\/\\s*\\d+',
    '\\d+\\s*\\/\\s*\\d+',
    '\\d+\\s*[½¼¾⅓⅔⅛⅜⅝⅞]',
    '[½¼¾⅓⅔⅛⅜⅝⅞]',
    `\\d{1,3}(?:${GAP}\\d{3})+(?:[.,]\\d+)?(?!\\d)`,
    '\\d{1,3}(?:,\\d{3})+\\.\\d+',
    '\\d{1,3}(?:\\.\\d{3})+,\\d+',
    '\\d{1,3}(?:,\\d{3}){2,}(?!\\d)',
    '\\d{1,3}(?:\\.\\d{3}){2,}(?!\\d)',
    '\\d+(?:[.,]\\d+)?',
    '[.,]\\d+)',
  ].join('|'),
  'u',
);

/** A comma with three digits behind it: decimals to some, thousands to others. */
const TWO_MEANINGS = /^[1-9]\d{0,2},\d{3}$/;

/** Digits with one dot at most, whatever marks they were written with. @throws Complaint `number/ambiguous` */
function plainDecimal(text: string): string {
  if (TWO_MEANINGS.test(text)) {
    throw complaint('number/ambiguous', { text, choices: [text.replace(',', '.'), text.replace(',', '')] });
  }
  const joined = text.replace(new RegExp(GAP, 'gu'), '');
  const [comma, dot] = [joined.lastIndexOf(','), joined.lastIndexOf('.')];
  const marks = joined.match(/[.,]/g)?.length ?? 0;
  // the same mark several times stands for thousands; of two kinds, the last one for decimals
  if (marks > 1 && (comma < 0 || dot < 0)) return joined.replace(/[.,]/g, '');
  if (comma > dot) return joined.replace(/\./g, '').replace(',', '.');
  return joined.replace(/,/g, '');
}

/** A number with a part of one, as `3½` or `3 1/2`: its pieces. */
function piecesOf(text: string): string[] {
  return text
    .replace(/[½¼¾⅓⅔⅛⅜⅝⅞]/u, (glyph) => ` ${GLYPHS[glyph] ?? ''}`)
    .replace(/\s*\/\s*/, '/')
    .trim()
    .split(/\s+/);
}

/**
 * Reads a non-negative number as people write it, exactly. Commas and dots
 * are decimal marks; where both stand, or one several times, they part
 * thousands.
 * @throws Complaint `parts/unreadable` for anything else (also for NaN, signs, a zero denominator);
 * `number/ambiguous` for `1,173`, which is 1.173 to some and 1173 to others
 */
export function readNumber(text: string): Fraction {
  const trimmed = text.trim();
  const found = NUMBER_PATTERN.exec(trimmed);
  if (!found || found[0].length !== trimmed.length || trimmed.length > 24) {
    throw complaint('parts/unreadable', { text: trimmed });
  }
  const parted = /[½¼¾⅓⅔⅛⅜⅝⅞/]/u.test(trimmed);
  const pieces = parted ? piecesOf(trimmed) : [plainDecimal(trimmed)];
  if (pieces.some((piece) => /\/0+$/.test(piece))) throw complaint('parts/unreadable', { text: trimmed });
  return pieces.map((piece) => new Fraction(piece)).reduce((sum, piece) => sum.add(piece), new Fraction(0));
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
