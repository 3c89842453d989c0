import { cutterOf, sheetLeft, type SheetLeft } from '#core/batch';
import { attempt } from '#core/units';
import type { SheetAnswer, SheetDto } from '#contract';

/** A sheet as it is sent: without what only an answer has. */
export const sentSheet = ({ id, version, name, note, form, widthMm, lengthMm, mm, layers, grams, cuts, gone, inside }: SheetAnswer): SheetDto =>
  ({ id, version, name, note, form, widthMm, lengthMm, mm, layers, grams, cuts, gone, inside: inside ?? null });

/** What is left of a sheet; of one that became too small for what was cut from it, nothing. */
export function leftOfSheet(sheet: SheetAnswer): SheetLeft {
  return attempt(() => sheetLeft(sheet, sheet.cuts.map((c) => ({ cutter: cutterOf(c.widthMm, c.heightMm), count: c.count, bridge: c.bridgeMm }))), () => ({ bands: [], length: 0, pieces: 0, scrap: 0 }));
}
