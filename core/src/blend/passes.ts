import { deltaE, labOf, mixPigments, type Pigment } from '#core/colour';
import { learnedOf, type LearnedFigure } from '#core/learned';
import { complaint } from './sentences.js';

/** Passes after which a blend is free of streaks where nobody has counted: an assumption. */
export const ASSUMED_PASSES = 15;
/** ΔE00 between neighbouring streaks that is just not seen any more: an assumption. */
export const JUST_NOT_SEEN = 1;
/** ΔE00 between the colours of the blend that {@link ASSUMED_PASSES} are for: an assumption. */
const ASSUMED_CONTRAST = 50;

/** What one fold and pass leaves of the contrast of streaks. */
export const assumedKept = (JUST_NOT_SEEN / ASSUMED_CONTRAST) ** (1 / ASSUMED_PASSES);

/** A blend that somebody made, and the pass after which its streaks were gone. */
export interface CountedBlend {
  readonly contrast: number;
  readonly passes: number;
}

/** How far blends are off each other, and hands off the assumption (ln). */
const TRUST = { each: 0.4, bench: 0.5 };

/** How much sooner or later than assumed streaks were gone, over all blends that were made: more is sooner. */
export const blendsLearned = (counted: readonly CountedBlend[]): LearnedFigure =>
  learnedOf(
    counted
      .filter((b) => b.contrast > JUST_NOT_SEEN && b.passes > 0)
      .map((b) => Math.log(JUST_NOT_SEEN / b.contrast) / b.passes / Math.log(assumedKept)),
    TRUST,
  );

/** What one pass keeps, from one's own blends, whatever odd ones there were. */
export const keptFrom = (counted: readonly CountedBlend[]): number => assumedKept ** blendsLearned(counted).factor;

/** The largest difference between two neighbouring colours of a blend: what its streaks begin with. */
export function streakContrast(pigments: readonly Pigment[]): number {
  const labs = pigments.map((p) => labOf(mixPigments([p], [1])));
  return labs.slice(1).reduce((most, lab, i) => Math.max(most, deltaE(labs[i] ?? lab, lab)), 0);
}

/** Streaks after each pass, ΔE00, and the pass after which they are just not seen. */
export interface Forecast {
  readonly streaks: readonly number[];
  readonly enough: number;
}

const MOST_PASSES = 60;

/**
 * How the streaks of a blend fade: every fold doubles the layers, every pass
 * keeps a share of their contrast.
 * @param shown passes in the forecast @throws Complaint `blend/passes`
 */
export function forecast(contrast: number, kept: number, shown: number): Forecast {
  if (!Number.isInteger(shown) || shown < 1 || shown > MOST_PASSES)
    throw complaint('blend/passes', { most: MOST_PASSES });
  const enough =
    contrast <= JUST_NOT_SEEN
      ? 0
      : Math.min(MOST_PASSES, Math.ceil(Math.log(JUST_NOT_SEEN / contrast) / Math.log(kept) - 1e-9));
  return { streaks: Array.from({ length: shown }, (_, i) => contrast * kept ** (i + 1)), enough };
}
