import { cutterOf, type SheetCut } from '#core/cutter';
import type { SheetCutDto } from './sheetBook.js';

/** A cut as core reads it. */
export const cutOfSheet = (cut: SheetCutDto): SheetCut => ({
  cutter: cutterOf(cut),
  count: cut.places ? cut.places.length : cut.count,
  bridge: cut.bridgeMm,
  lie: cut.lie ?? 'close',
  ...(cut.places ? { places: cut.places } : {}),
});
