import { type Mm, type Mm2 } from '#core/units';
import { cutterArea, type Cutter } from './cutter.js';
import { cuttingLayout, mostOn, type Layout } from './layout.js';
import { complaint } from './sentences.js';

/** Pieces cut from a sheet, in rows from its lower edge on. */
export interface SheetCut {
  readonly cutter: Cutter;
  readonly count: number;
  readonly bridge: Mm;
}

/** Where a kind of pieces was cut, from `from` up the sheet. */
export interface CutBand extends SheetCut {
  readonly from: Mm;
  readonly layout: Layout;
}

export interface SheetLeft {
  readonly bands: readonly CutBand[];
  /** length of whole sheet that is left above the last band */
  readonly length: Mm;
  /** mm² of pieces, and of the scrap between them */
  readonly pieces: Mm2;
  readonly scrap: Mm2;
}

/**
 * What is left of a sheet when pieces were cut from it one kind after the
 * other: each kind takes the rows it needs.
 * @throws Complaint `sheet/room` where a kind does not fit on what was left
 */
export function sheetLeft(
  sheet: { readonly widthMm: Mm; readonly lengthMm: Mm },
  cuts: readonly SheetCut[],
): SheetLeft {
  const bands: CutBand[] = [];
  let [from, pieces] = [0, 0];
  for (const cut of cuts) {
    const limits = { width: sheet.widthMm, length: sheet.lengthMm - from, bridge: cut.bridge };
    const fits = limits.length > 0 ? mostOn(cut.cutter, limits) : 0;
    if (cut.count > fits) throw complaint('sheet/room', { count: cut.count, fits });
    const layout = cuttingLayout(cut.cutter, cut.count, limits, 1, 'length');
    bands.push({ ...cut, from, layout });
    from += layout.length;
    pieces += cut.count * cutterArea(cut.cutter);
  }
  return { bands, length: Math.max(0, sheet.lengthMm - from), pieces, scrap: from * sheet.widthMm - pieces };
}
