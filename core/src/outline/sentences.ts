import { UNITS_SENTENCES, complaints } from '#core/units';

/** What this folder can find wrong, in sentences. */
export const OUTLINE_SENTENCES = {
  'cane/outline': () => 'This outline encloses nothing. Draw it as a closed line around an area.',
} as const;

export const complaint = complaints({ ...UNITS_SENTENCES, ...OUTLINE_SENTENCES });
