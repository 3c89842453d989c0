import type { Mm } from '#core/units';

/** How slices lie beside each other before they are rolled. */
export const LAYINGS = ['puzzle', 'rows', 'single'] as const;
export type Laying = (typeof LAYINGS)[number];

/** Slices on their backing, and how they are rolled. */
export interface SlicesToRoll {
  /** of one slice, as it was cut: along the feed, and across */
  readonly along: Mm;
  readonly across: Mm;
  readonly mm: Mm;
  /** 0: none */
  readonly backing: Mm;
  /** gaps after each pass, the last one the thickness wanted */
  readonly passes: readonly Mm[];
  /** turned by a quarter before each pass but the first */
  readonly turned: boolean;
}

/** What a slice becomes. */
export interface SliceRolled {
  readonly along: Mm;
  readonly across: Mm;
  /** of the slice, and of the backing under it */
  readonly mm: Mm;
  readonly backing: Mm;
  /** area after to area before */
  readonly growth: number;
  /** its longer side to its shorter, of a slice that was as long as wide */
  readonly oval: number;
}

/**
 * What rolling makes of slices on a backing. Clay stays the same, and slice and backing get thinner by the same share;
 * what a pass takes from the thickness it gives to the length in its feed, hardly any to the width (docs/models.md §2).
 * A stack thinner than a gap is not touched by it.
 */
export function slicesRolled({ along, across, mm, backing, passes, turned }: SlicesToRoll): SliceRolled {
  const stack = mm + backing;
  let [thick, fed, aside, lengthwise] = [stack, 1, 1, true];
  passes.forEach((gap, i) => {
    if (turned && i > 0) lengthwise = !lengthwise;
    if (gap >= thick) return;
    if (lengthwise) fed *= thick / gap;
    else aside *= thick / gap;
    thick = gap;
  });
  return {
    along: along * fed,
    across: across * aside,
    mm: (mm * thick) / stack,
    backing: (backing * thick) / stack,
    growth: fed * aside,
    oval: Math.max(fed, aside) / Math.min(fed, aside),
  };
}

/** Faces fill less of a row than of the box around them; laid as a puzzle they are pressed until no gap is left. */
interface Face {
  readonly along: Mm;
  readonly across: Mm;
  /** mm² */
  readonly area: number;
}

const HAIR = 1e-9;

/**
 * How many slices a sheet takes: as a puzzle by their area, in rows by their boxes, each a whole one.
 * @param sheet size it is to have before it is rolled
 */
export function slicesFor(laying: Laying, face: Face, sheet: { readonly along: Mm; readonly across: Mm }): number {
  if (laying === 'puzzle') return Math.ceil((sheet.along * sheet.across) / face.area - HAIR);
  return Math.ceil(sheet.along / face.along - HAIR) * Math.ceil(sheet.across / face.across - HAIR);
}
