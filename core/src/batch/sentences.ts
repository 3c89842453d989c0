import { CUTTER_SENTENCES } from '#core/cutter';
import { MIX_SENTENCES } from '#core/mix';
import { UNITS_SENTENCES, complaints } from '#core/units';

export const BATCH_SENTENCES = {
  'batch/places': (d: { there: number; wanted: number }) =>
    `${d.wanted} pieces are wanted with their spares, and ${d.there} have a place on the patterned sheet. Put more ` +
    `there, want fewer, or have them laid out.`,
  'batch/cuts': (d: { name: string; count: number; most: number }) =>
    `${d.count.toLocaleString('en')} of ${d.name} would be cut at once; at most ${d.most.toLocaleString('en')} are ` +
    `laid out. Plan several batches.`,
  'batch/unchosen': (d: { parts: string }) => `Choose what these parts are made of: ${d.parts}.`,
  'batch/nothing': () => 'This piece has no parts yet.',
} as const;

export const complaint = complaints({ ...UNITS_SENTENCES, ...MIX_SENTENCES, ...CUTTER_SENTENCES, ...BATCH_SENTENCES });
