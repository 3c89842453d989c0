import { LARGEST_CUTTER, cutterOf, cutterOutline, type Cutter, type HandPlace } from '#core/cutter';
import { largestIn, type Ground } from '#core/pattern';
import type { PatternCutDto } from '#contract';

/** A shape as large as it goes on a sheet, and where it lies there. */
export interface LargestCut {
  readonly cutter: Cutter;
  readonly place: HandPlace;
}

/** Kept inside of the edge, where the blade runs: a share of its size. */
const INSIDE = 0.999;
const tenth = (mm: number): number => Math.floor(mm * 10) / 10;

/** The largest of a cutter's shape that can be cut of a sheet, to a tenth of a millimetre. */
export function largestCut(cut: PatternCutDto, ground: Ground): LargestCut {
  const cutter = cutterOf(cut);
  const outline = { points: cutterOutline(cutter), round: cutter.shape === 'round' };
  const { times, degrees, x, y } = largestIn(outline, ground);
  const by = Math.min(INSIDE * times, LARGEST_CUTTER / Math.max(cutter.width, cutter.height));
  return {
    cutter: { ...cutter, width: tenth(cutter.width * by), height: tenth(cutter.height * by) },
    place: { x: ground.width / 2 + x, y: ground.height / 2 + y, degrees },
  };
}
