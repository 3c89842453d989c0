import { UNITS_SENTENCES, complaints } from '#core/units';

/** What this folder can find wrong, in sentences. */
export const CONDITIONING_SENTENCES = { 'rescue/none': () => 'Nothing of this block is left to bring back.' } as const;

/** @throws never; what it returns is thrown */
export const complaint = complaints({ ...UNITS_SENTENCES, ...CONDITIONING_SENTENCES });
