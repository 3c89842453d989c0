import { UNITS_SENTENCES, complaints } from '#core/units';

/** What this folder can find wrong, in sentences. */
export const COLOUR_SENTENCES = {
  'colour/unreadable': (d: { text: string }) =>
    `“${d.text}” is not a colour. Write six digits as in 7B1E4B, L*, a* and b* as in 52 41 -8, or a ` +
    'plain word as in dark green.',
  'colour/range': (d: { text: string }) =>
    `“${d.text}” is no colour of a surface: L* runs from 0 to 100, a* and b* from -128 to 128.`,
} as const;

export const complaint = complaints({ ...UNITS_SENTENCES, ...COLOUR_SENTENCES });
