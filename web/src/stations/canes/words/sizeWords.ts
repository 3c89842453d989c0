import { showLength, showSize, type UnitSystem } from '#core/units';
import type { FaceSize } from '../../../workers/canePlain.js';

/** mm that a ruler tells apart. */
const SEEN = 0.05;

/** `20 mm across`, or width by height. */
export const sizeWords = ({ round, across, width, height }: FaceSize, units: UnitSystem): string =>
  round ? `${showLength(across, units)} across` : showSize(width, height, units);

/** Whether a face has another size than another one. */
export const isOtherSize = (one: FaceSize, other: FaceSize): boolean =>
  one.round !== other.round || Math.abs(one.width - other.width) > SEEN || Math.abs(one.height - other.height) > SEEN;
