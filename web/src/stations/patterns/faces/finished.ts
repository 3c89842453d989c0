import type { View } from '#core/pattern';
import type { PlainPattern } from '../../../workers/pattern.js';

/** How one of the finished sheets is looked at: each make is made by other hands. */
export interface Finished {
  readonly plain: PlainPattern;
  readonly view: View;
  /** the step that it is the work of */
  readonly at: number;
}

/** @param sheet from 0 over all makes @param each sheets that one make gives */
export function finished(pattern: PlainPattern, sheet: number, each: number): Finished {
  const make = Math.floor(sheet / Math.max(1, each));
  return {
    plain: { ...pattern, seed: pattern.seed + make },
    view: { of: 'face', piece: sheet - make * each },
    at: pattern.steps.length - 1,
  };
}
