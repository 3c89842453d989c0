import { massOf, volumeOf } from '#core/clay';
import type { StepOf } from '#core/cane';

/** What a cane can begin with whose face grows with its clay: a plug or a log. */
export type Wound = StepOf<'plug'> | StepOf<'log'>;

const QUARTER_ROUND = Math.PI / 4;

/** mm² of the face. */
export function faceOf(step: Wound): number {
  if (step.do === 'log') return QUARTER_ROUND * step.diameter ** 2;
  return step.wound === 'rolled' ? QUARTER_ROUND * step.width ** 2 : step.width * step.depth;
}

/** The same with a face of so many mm², in the same proportions. */
export function withFace<S extends Wound>(step: S, area: number): S {
  const k = Math.sqrt(area / faceOf(step));
  if (step.do === 'log') return { ...step, diameter: step.diameter * k };
  return { ...step, width: step.width * k, depth: step.depth * k };
}

/** Grams of it at its length. @param density g/cm³ */
export const gramsOfWound = (step: Wound, density: number): number => massOf(faceOf(step) * step.length, density);

/** As long as it was, of so many grams: thicker or thinner. */
export const asHeavy = <S extends Wound>(step: S, grams: number, density: number): S =>
  withFace(step, volumeOf(grams, density) / step.length);

/** mm of tape, so thick, that are wound up in it; the tape is as wide as it is long. */
export const tapeIn = (step: Wound, thickness: number): number => faceOf(step) / thickness;

/** As long as it was, wound of so many mm of tape. */
export const ofTape = <S extends Wound>(step: S, long: number, thickness: number): S =>
  withFace(step, long * thickness);
