import { type Mm, type Mm2 } from '#core/units';
import { cutterArea, type Cutter } from './cutter.js';
import { handLayout, type HandPlace } from './byHand.js';
import { cuttingLayout, mostOn, type Layout, type Lie, type SheetLimits } from './layout.js';
import { complaint } from './sentences.js';

/** Pieces cut from a sheet, in rows from its lower edge on. */
export interface SheetCut {
  readonly cutter: Cutter;
  readonly count: number;
  readonly bridge: Mm;
  readonly lie?: Lie;
  /** where each was put; left out: laid out */
  readonly places?: readonly HandPlace[];
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

function laidOut({ cutter, count }: SheetCut, limits: SheetLimits): Layout {
  const fits = limits.length > 0 ? mostOn(cutter, limits) : 0;
  if (count > fits) throw complaint('sheet/room', { count, fits });
  return cuttingLayout(cutter, count, limits, 1, 'length');
}

/**
 * What is left of a sheet when pieces were cut from it one kind after the
 * other: each kind takes the rows it needs.
 * @throws Complaint `sheet/room` where a kind does not fit on what was left; as `handLayout` where it was put there
 */
export function sheetLeft(
  sheet: { readonly widthMm: Mm; readonly lengthMm: Mm },
  cuts: readonly SheetCut[],
): SheetLeft {
  const bands: CutBand[] = [];
  let [from, pieces] = [0, 0];
  for (const cut of cuts) {
    const limits = { width: sheet.widthMm, length: sheet.lengthMm - from, bridge: cut.bridge, lie: cut.lie ?? 'close' };
    const layout = cut.places ? handLayout(cut.cutter, cut.places, limits) : laidOut(cut, limits);
    bands.push({ ...cut, from, layout });
    from += layout.length;
    pieces += cut.count * cutterArea(cut.cutter);
  }
  return { bands, length: Math.max(0, sheet.lengthMm - from), pieces, scrap: from * sheet.widthMm - pieces };
}
