import { placed } from '#core/document';
import { UNITS_SENTENCES, complaints } from '#core/units';

/** What this folder can find wrong, in sentences. */
export const PATTERN_DOCUMENT_SENTENCES = {
  'pattern/format': (d: { what: string; where: string }) => `This is no patterned sheet: ${placed(d)}.`,
  'pattern/newer': (d: { version: string }) =>
    `This patterned sheet was written by a newer Sledge (version ${d.version}). Bring this Sledge up to date first.`,
} as const;

export const complaint = complaints({ ...UNITS_SENTENCES, ...PATTERN_DOCUMENT_SENTENCES });
