import type { Stage } from '#core/cane';
import type { CaneAnswer, CaneTrimDto } from '#contract';
import type { PlainPlan } from '../../../workers/canePlain.js';
import type { WorkedCane } from '../../../workers/cane.js';
import { isCut } from '../words/caneWords.js';

/** mm, to a tenth: as exact as a hand measures. */
const tenth = (mm: number): number => Math.round(mm * 10) / 10;

/** How a cane came out. */
export interface Made {
  readonly diameterMm: number;
  readonly lengthMm: number;
  readonly slices: number;
}

/** What a trim took, and after which step. */
export type Trim = CaneTrimDto & { readonly step: number };

/** The last step that there is a face of. */
export const lastThere = (worked: WorkedCane): number =>
  Math.max(
    0,
    worked.steps.findLastIndex((s) => s.there),
  );

/** mm across, where a cane has no face. */
const NO_FACE = 10;

/** As it was planned: what a maker changes to what it really was. */
export const asPlanned = (cane: CaneAnswer, plan: PlainPlan, worked: WorkedCane): Made => ({
  diameterMm: tenth(worked.steps[lastThere(worked)]?.across ?? NO_FACE),
  lengthMm: tenth(plan.pieces * plan.each * cane.sliceMm),
  slices: cane.slices,
});

/** What is cut off both ends of each piece after a step, as it was planned. */
const trimOf = (stage: Stage, step: number): Trim => ({ step, lostMm: tenth(2 * stage.cut), unitMm: stage.unitMm });

export const trimsPlanned = (plan: PlainPlan): readonly Trim[] =>
  plan.stages.flatMap((stage, step) => (isCut(stage) ? [trimOf(stage, step)] : []));
