import type { PatternStep } from '#core/pattern';
import { thicknesses, translate } from '#core/sheet';
import type { KeptPatternDto, MachineDto, PatternAnswer } from '#contract';
import type { PatternToMake } from '../../../workers/pattern.js';

/** Sheets that are written down one by one, at the most. */
const MOST = 60;

/** Steps that end with rolling. */
const ROLLS: ReadonlySet<PatternStep['do']> = new Set(['roll', 'lay', 'inlay'] as const);

/** Shares of a thickness: off by less, a setting is the one. An assumption. */
const SAME = 0.05;

/** The setting of one's own machine that a sheet was rolled at last, as it is scratched into its margin. */
export function rolledAtOf(last: PatternStep | undefined, mm: number, own: MachineDto | undefined): string {
  if (!last || !ROLLS.has(last.do) || !own || thicknesses(own).length === 0) return '';
  const { setting, layers, errorMm } = translate({ mm, sigmaMm: 0 }, own);
  return layers === 1 && Math.abs(errorMm) < SAME * mm ? `${setting.label} of ${own.name}` : '';
}

/**
 * The sheets that lie there, as planned. What lies there flat is a rectangle: what is round is told as the square that
 * is as large, so that its grams are its area × thickness × density.
 */
export function keptDto(
  { name }: Pick<PatternAnswer, 'name'>,
  { sheet, makes, steps }: PatternToMake,
  own: MachineDto | undefined,
): KeptPatternDto {
  const rope = sheet.form === 'rope';
  const square = sheet.round ? Math.sqrt(Math.PI) / 2 : 1;
  return {
    id: crypto.randomUUID(),
    name,
    keptIn: '',
    rolledAt: rolledAtOf(steps.at(-1), sheet.thick, own),
    count: Math.min(MOST, sheet.count * makes),
    widthMm: Math.max(0.5, sheet.width * square),
    lengthMm: Math.max(0.5, rope ? sheet.thick : sheet.height * square),
    mm: Math.max(0.05, rope ? sheet.width * square : sheet.thick),
  };
}
