import type { KeptPatternDto, PatternAnswer } from '#contract';
import type { PatternToMake } from '../../../workers/pattern.js';

/** Sheets that are written down one by one, at the most. */
const MOST = 60;

/**
 * The sheets that lie there, as planned. What lies there flat is a rectangle: what is round is told as the square that
 * is as large, so that its grams are its area × thickness × density.
 */
export function keptDto({ name }: Pick<PatternAnswer, 'name'>, { sheet, makes }: PatternToMake): KeptPatternDto {
  const rope = sheet.form === 'rope';
  const square = sheet.round ? Math.sqrt(Math.PI) / 2 : 1;
  return {
    id: crypto.randomUUID(),
    name,
    keptIn: '',
    count: Math.min(MOST, sheet.count * makes),
    widthMm: Math.max(0.5, sheet.width * square),
    lengthMm: Math.max(0.5, rope ? sheet.thick : sheet.height * square),
    mm: Math.max(0.05, rope ? sheet.width * square : sheet.thick),
  };
}
