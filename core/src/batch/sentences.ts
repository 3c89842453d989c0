import { CUTTER_SENTENCES } from '#core/cutter';
import { MIX_SENTENCES } from '#core/mix';
import { UNITS_SENTENCES, complaints } from '#core/units';

export const BATCH_SENTENCES = {
  'batch/places': (d: { there: number; wanted: number }) =>
    `${d.wanted} pieces are wanted with their spares, and ${d.there} have a place on the patterned sheet. Put more ` +
    `there, want fewer, or have them laid out.`,
} as const;

export const complaint = complaints({ ...UNITS_SENTENCES, ...MIX_SENTENCES, ...CUTTER_SENTENCES, ...BATCH_SENTENCES });
