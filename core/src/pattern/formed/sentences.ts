import { UNITS_SENTENCES, complaints } from '#core/units';

/** What this folder can find wrong, in sentences. */
export const PATTERN_FORMED_SENTENCES = {
  'pattern/form size': (d: { what: string }) => `${d.what} of the form has to be more than zero.`,
  'pattern/form thin': (d: { size: string; walls: string }) =>
    `A form of ${d.size} is not wider than its two walls, ${d.walls}. Take a larger one, or roll the sheet thinner.`,
  'pattern/form sheet': (d: { wanted: string; there: string }) =>
    `It takes a sheet of ${d.wanted}, and this one is ${d.there}. Take a smaller form, or make more of the sheet.`,
  'pattern/form rope': () =>
    'This is still a rope. Coil it, flatten it along, or cut it across: then there is a sheet.',
  'pattern/no slices': () => 'No slices of a cane are in this sheet. Lay some, or cover the form with the sheet.',
  'pattern/mould full': (d: { cavity: string; sheet: string }) =>
    `The mould holds ${d.cavity}, and the sheet alone is ${d.sheet}. Roll it thinner, or fill the mould without it.`,
} as const;

export const complaint = complaints({ ...UNITS_SENTENCES, ...PATTERN_FORMED_SENTENCES });
