import { cutterOf, sheetLeft, showCutter, type Cutter, type SheetLeft, plainCutter } from '#core/cutter';
import { attempt, type UnitSystem } from '#core/units';
import { cutOfSheet, type MadeAnswer, type SheetCutDto, type MadeDto } from '#contract';
import type { Carried } from '../../state/tile.js';

/** A sheet as it is sent: without what only an answer has. */
export const sentSheet = ({
  id,
  version,
  name,
  note,
  form,
  widthMm,
  lengthMm,
  mm,
  layers,
  grams,
  cuts,
  gone,
  inside,
  count,
  keptIn,
}: MadeAnswer): MadeDto => ({
  id,
  version,
  name,
  note,
  form,
  widthMm,
  lengthMm,
  mm,
  layers,
  grams,
  cuts,
  gone,
  inside: inside ?? null,
  count,
  keptIn,
});

/**
 * A sheet whose thickness is typed anew: the clay stays, so its length follows; one that pieces were cut from
 * keeps its size.
 */
export const retyped = (sheet: MadeAnswer, mm: number): Partial<MadeAnswer> =>
  sheet.cuts.length > 0 || !(mm > 0) ? { mm } : { mm, lengthMm: (sheet.lengthMm * sheet.mm) / mm };

/** What is left of a sheet; of one that became too small for what was cut from it, nothing. */
export function leftOfSheet(sheet: MadeAnswer): SheetLeft {
  return attempt(
    () => sheetLeft(sheet, sheet.cuts.map(cutOfSheet)),
    () => ({ bands: [], length: 0, pieces: 0, scrap: 0 }),
  );
}

/** Pieces that were cut before, for the note: what becomes of the rest has no more place for them. */
export const cutWords = (sheet: MadeAnswer, units: UnitSystem): string =>
  sheet.cuts.map((c) => `${c.count} of ${showCutter(cutterOf(c), units)}`).join(', ');

/** Grams on each mm² of the sheet. */
export const gramsPerArea = ({ grams, widthMm, lengthMm }: MadeAnswer): number => grams / (widthMm * lengthMm);

/** Pieces that are cut now. @param bridge mm of clay between them */
export const cutOf = (cutter: Cutter, count: number, bridge: number): SheetCutDto => ({
  ...plainCutter(cutter),
  id: crypto.randomUUID(),
  name: '',
  count,
  bridgeMm: bridge,
});

/** The sheet as it is carried on the tile. */
export const carriedSheet = (sheet: MadeAnswer): Carried => ({
  kind: 'sheet',
  id: sheet.id,
  name: sheet.name,
  hexes: sheet.hexes,
  revisionId: sheet.of.kind === 'mix' ? sheet.of.id : null,
  form: sheet.form,
});
