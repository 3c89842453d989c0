import { learnedOf, type LearnedFigure } from '#core/learned';
import type { Mm, Mm2 } from '#core/units';
import { areaOf, diameterOf, type Outline } from '#core/cane/outlines';

/**
 * What is spoilt at each end of a cane that is reduced to four times its
 * length or more, in widths of the cane as it is then: an assumption until
 * somebody has cut ends off and measured them.
 */
export const ASSUMED_ENDS = 0.6;
/** Lengthened by so much or more, an end is spoilt as far as it can be. */
const FULL = 4;
/** What a press or a join spoils, beside a full reduction. */
const HANDLED = 1 / 4;
/** Ends that are cut off together overlap: the largest counts whole, of each other so much. */
const OVERLAP = 1 / 4;
/** How far trims are off each other, and hands off the assumption (ln); nobody loses less than this part of it. */
const TRUST = { each: 0.35, bench: 0.5 };
const LEAST_ENDS = 0.05;

export const TRIMMINGS = ['once at the end', 'at every reduction'] as const;
export type Trimming = (typeof TRIMMINGS)[number];

/** How ends are lost: widths at each end of a full reduction, and when they are cut off. */
export interface EndsRule {
  readonly share: number;
  readonly trimming: Trimming;
}
export const USUAL_ENDS: EndsRule = { share: ASSUMED_ENDS, trimming: 'once at the end' };

/** Ends of one trim: what was cut off both of them, and what would have been for a share of 1, mm. */
export interface TrimMade {
  readonly lostMm: Mm;
  readonly unitMm: Mm;
}

/** What ends took of the assumption, over all trims. */
export const endsLearned = (made: readonly TrimMade[]): LearnedFigure =>
  learnedOf(
    made.filter((m) => m.unitMm > 0).map((m) => Math.max(LEAST_ENDS, m.lostMm / m.unitMm / ASSUMED_ENDS)),
    TRUST,
  );

/** The share that was really lost so far, whatever odd trims there were. */
export function learnedEnds(made: readonly TrimMade[]): { readonly ends: number; readonly from: number } {
  const { factor, from } = endsLearned(made);
  return { ends: ASSUMED_ENDS * factor, from };
}

/**
 * What a reduction spoils at both ends together: twice
 * `d·A·min(1, ln λ / ln 4)`.
 * @param outline after it @param before mm² of the face before it
 */
export function spoiltByReducing(outline: Outline, before: Mm2): Spoilt {
  const area = areaOf(outline);
  const lengthened = before / area;
  const mm3 = 2 * diameterOf(outline) * area * Math.min(1, Math.max(0, Math.log(lengthened)) / Math.log(FULL));
  return { mm3, by: 'reducing' };
}

/**
 * What a press or a join spoils at both ends together.
 * @param width of the piece that is pressed or joined
 * @param face after it
 */
export const spoiltByHandling = (width: Mm, face: Mm2): Spoilt => ({ mm3: 2 * HANDLED * width * face, by: 'handling' });

/** What a step spoilt at both ends of a piece together, mm³ for a share of 1. */
export interface Spoilt {
  readonly mm3: number;
  readonly by: 'reducing' | 'handling';
}

/** What has to be cut off both ends for all that was spoilt there since the last trim. */
export function overlapped(spoilt: readonly Spoilt[]): number {
  const largest = Math.max(0, ...spoilt.map((s) => s.mm3));
  const all = spoilt.reduce((sum, s) => sum + s.mm3, 0);
  return largest + OVERLAP * (all - largest);
}
