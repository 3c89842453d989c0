import { UNITS_SENTENCES, complaints } from '#core/units';

/** What this folder can find wrong, in sentences. */
export const MATERIAL_SENTENCES = {
  'material/unreadable': (d: { text: string }) => `“${d.text}” says no clay, mix, blend or cane.`,
  'material/empty': (d: { name: string }) => `Nothing is left of ${d.name}.`,
  'material/missing': (d: { name: string }) => `${d.name} is not there any more.`,
} as const;

export const complaint = complaints({ ...UNITS_SENTENCES, ...MATERIAL_SENTENCES });
