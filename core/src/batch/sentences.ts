import { UNITS_SENTENCES, complaints } from '#core/units';
import { MIX_SENTENCES } from '#core/mix';

/** What this folder can find wrong, in sentences. */
export const BATCH_SENTENCES = {
  'cutter/larger': (d: { cutter: string; sheet: string }) =>
    `A cutter of ${d.cutter} does not fit on a sheet of ${d.sheet}.`,
  'sheet/room': (d: { count: number; fits: number }) =>
    `${d.count} of these do not fit on what is left of the sheet; ${d.fits} do.`,
} as const;

export const complaint = complaints({ ...UNITS_SENTENCES, ...MIX_SENTENCES, ...BATCH_SENTENCES });
