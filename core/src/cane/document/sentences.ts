import { placed } from '#core/document';
import { UNITS_SENTENCES, complaints } from '#core/units';

/** What this folder can find wrong, in sentences. */
export const DOCUMENT_SENTENCES = {
  'cane/format': (d: { what: string; where: string }) => `This is no cane: ${placed(d)}.`,
} as const;

export const complaint = complaints({ ...UNITS_SENTENCES, ...DOCUMENT_SENTENCES });
