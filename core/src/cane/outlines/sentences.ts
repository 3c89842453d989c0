import { OUTLINE_SENTENCES } from '#core/outline';
import { UNITS_SENTENCES, complaints } from '#core/units';

/** What this folder can find wrong, in sentences. */
export const OUTLINES_SENTENCES = {
  ...OUTLINE_SENTENCES,
  'cane/star': () =>
    'This outline folds back on itself, so nothing can be pressed to it from its middle. Draw it ' +
    'rounder, or in two parts.',
  'cane/stretch': () =>
    'A stretch of the outline has to begin at one place and end at another. For all the way around, wrap it.',
  'cane/cells': () =>
    'These rods differ too much in size to be squeezed together without gaps. Reduce the large ones first.',
} as const;

export const complaint = complaints({ ...UNITS_SENTENCES, ...OUTLINES_SENTENCES });
