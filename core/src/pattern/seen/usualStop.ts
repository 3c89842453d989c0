import { learnedOf, type LearnedFigure } from '#core/learned';
import type { Mm } from '#core/units';

/** Width of the veins at which one stops folding, kneading or twisting: an assumption until one did. */
export const ASSUMED_STOP: Mm = 1.5;
/** Sheets differ more than hands do. */
const TRUST = { each: 0.5, bench: 0.7 };

/** Somewhere that one stopped. @param veinMm 0 where nothing was measured */
export interface Stopped {
  readonly veinMm: Mm;
  /** nobody stops there again */
  readonly regretted: boolean;
}

/** The veins at which one usually stops, by all sheets that were made, whatever their plan. */
export function usualStop(stops: readonly Stopped[]): LearnedFigure {
  const veins = stops.filter(({ veinMm, regretted }) => veinMm > 0 && !regretted).map(({ veinMm }) => veinMm);
  return learnedOf(
    veins.map((vein) => vein / ASSUMED_STOP),
    TRUST,
  );
}

/** The stage whose veins are nearest to a width where one is near; otherwise -1. */
export function stageNear(veins: readonly Mm[], wanted: Mm): number {
  const offs = veins.map((vein) => Math.abs(Math.log(vein / wanted)));
  const least = Math.min(...offs);
  return least <= NEAR ? offs.indexOf(least) : -1;
}
/** From half as wide to twice as wide, as a logarithm. */
const NEAR = Math.LN2;
