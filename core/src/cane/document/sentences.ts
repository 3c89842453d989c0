import { UNITS_SENTENCES, complaints } from '#core/units';

/** What this folder can find wrong, in sentences. */
export const DOCUMENT_SENTENCES = {
  'cane/format': (d: { what: string; where: string }) =>
    `This is no cane: ${d.what}${d.where === '' ? '' : ` at ${d.where}`}.`,
} as const;

export const complaint = complaints({ ...UNITS_SENTENCES, ...DOCUMENT_SENTENCES });
