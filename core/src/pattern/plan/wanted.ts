import type { Mm, Mm2 } from '#core/units';

export const COVERS = ['sheet', 'frame', 'tube'] as const;

/**
 * What a patterned sheet has to cover, so many times: a sheet or a lid; a frame, its opening taken out; a tube all
 * around, its width the diameter. `trimmed`: share of the sheet that is cut off.
 */
export interface PatternWanted {
  readonly covers: (typeof COVERS)[number];
  readonly width: Mm;
  readonly height: Mm;
  /** of the opening of a frame; 0 of everything else */
  readonly innerWidth: Mm;
  readonly innerHeight: Mm;
  readonly pieces: number;
  readonly trimmed: number;
}

/** mm² of one piece that is covered. */
export function coveredArea({ covers, width, height, innerWidth, innerHeight }: PatternWanted): Mm2 {
  if (covers === 'tube') return Math.PI * width * height;
  const opening = covers === 'frame' ? Math.min(innerWidth, width) * Math.min(innerHeight, height) : 0;
  return width * height - opening;
}

/** mm² of sheet that all of it takes, with what is trimmed. */
export const areaWanted = (wanted: PatternWanted): Mm2 =>
  (coveredArea(wanted) * wanted.pieces) / (1 - Math.min(0.9, wanted.trimmed));
